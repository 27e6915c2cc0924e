<?php

namespace App\Responses\Stove;

/** A warmth read by eye that can be taken back. */
final readonly class StoveRead
{
    /** @param  string  $entry by which it is taken back */
    public function __construct(public string $entry, public string $text, public string $when) {}
}
