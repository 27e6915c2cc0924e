<?php

namespace App\Responses\Bench;

/** A herb to choose. */
final readonly class HerbChoice
{
    /**
     * @param  string  $id empty of one that only Stores knows, which goes by its name
     * @param  'dried'|'wilted'|'fresh'  $best
     */
    public function __construct(public string $id, public string $name, public string $part, public string $best) {}
}
