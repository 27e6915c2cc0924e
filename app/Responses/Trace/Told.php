<?php

namespace App\Responses\Trace;

/** Somebody who has some of it, and what. */
final readonly class Told
{
    /** @param  list<string>  $holds by name */
    public function __construct(public string $person, public array $holds) {}
}
