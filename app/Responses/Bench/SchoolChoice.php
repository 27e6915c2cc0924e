<?php

namespace App\Responses\Bench;

/** A school of a method. */
final readonly class SchoolChoice
{
    public function __construct(public string $id, public string $name, public string $span, public string $why) {}
}
