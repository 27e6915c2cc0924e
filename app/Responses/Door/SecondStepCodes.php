<?php

namespace App\Responses\Door;

use App\Responses\Shape;

/** Codes for paper, each good once: shown once. */
final readonly class SecondStepCodes extends Shape
{
    /** @param  list<string>  $codes */
    public function __construct(public array $codes) {}
}
