<?php

namespace App\Responses\Stores;

/** One thing that was understood of a line. */
final readonly class ReadCell
{
    /** @param  bool  $guess whether it was not said in so many words */
    public function __construct(public string $as, public string $text, public bool $guess) {}
}
