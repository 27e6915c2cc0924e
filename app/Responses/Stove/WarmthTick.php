<?php

namespace App\Responses\Stove;

/** A mark on a thermometer. */
final readonly class WarmthTick
{
    public function __construct(public float $c, public string $text) {}
}
