<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** When something is deleted. */
final readonly class EndingView extends Shape
{
    /** @param  ?string  $on the day; null of what stays */
    public function __construct(public ?string $on) {}
}
