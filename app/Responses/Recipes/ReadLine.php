<?php

namespace App\Responses\Recipes;

/** What was made of a line of a recipe. */
final readonly class ReadLine
{
    public function __construct(public string $line, public string $as, public string $says, public bool $guess) {}
}
