<?php

namespace App\Responses\Making;

use App\Responses\Shape;

/** Products that are wanted by a day and not begun yet, the first to be made first. */
final readonly class WantedList extends Shape
{
    /** @param  list<WantedCard>  $wanted */
    public function __construct(public array $wanted, public bool $more) {}
}
