<?php

namespace App\Responses\Stove;

/** A line of what was done at the stove. */
final readonly class StoveDone
{
    /**
     * @param  ?string  $entry by which it is taken back, where it can be
     * @param  bool  $undone whether it was taken back
     */
    public function __construct(public string $text, public string $by, public string $when, public ?string $entry, public bool $undone) {}
}
