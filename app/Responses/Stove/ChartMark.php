<?php

namespace App\Responses\Stove;

/** Something done, on the chart of a session. */
final readonly class ChartMark
{
    public function __construct(public int $at, public string $text) {}
}
