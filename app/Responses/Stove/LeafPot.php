<?php

namespace App\Responses\Stove;

use App\Responses\Making\LeafView;

/** A product with fresh leaf in it, kept just liquid. */
final readonly class LeafPot
{
    public function __construct(public string $making, public string $code, public string $name, public LeafView $leaf) {}
}
