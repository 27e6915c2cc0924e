<?php

namespace App\Responses\Almanac;

/** Something of this house it has to do with. */
final readonly class AlmanacLink
{
    /** @param  string  $to a path within the house */
    public function __construct(public string $text, public string $to) {}
}
