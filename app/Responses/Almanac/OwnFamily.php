<?php

namespace App\Responses\Almanac;

/** A family of plants, and the concerns that a plant of it has for being of it. */
final readonly class OwnFamily
{
    /** @param  list<string>  $concerns ids */
    public function __construct(public string $id, public string $name, public string $latin, public array $concerns) {}
}
