<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** Whether somebody has a second step at the door, and how many codes on paper are left. */
final readonly class SecondStepView extends Shape
{
    public function __construct(public bool $on, public int $codes_left) {}
}
