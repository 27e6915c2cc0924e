<?php

namespace App\Responses;

/** One of several, by name. */
final readonly class Choice
{
    public function __construct(public string $id, public string $name) {}
}
