<?php

namespace App\Responses\Stores;

/** A kind of thing in Stores, and how many lots of it there are. */
final readonly class LotKindTab
{
    public function __construct(public string $kind, public string $name, public int $count) {}
}
