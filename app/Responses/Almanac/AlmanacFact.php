<?php

namespace App\Responses\Almanac;

/** One fact, with where it comes from. */
final readonly class AlmanacFact
{
    public function __construct(public string $name, public string $text, public string $source) {}
}
