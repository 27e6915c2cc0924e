<?php

namespace App\Responses\Making;

/** How the last spoon turned out, where nothing was done about it yet. */
final readonly class ToMend
{
    public function __construct(public string $verdict, public string $by) {}
}
