<?php

namespace App\Responses\Stove;

use App\Responses\Shape;

/** A thermometer added; its key is shown this once. */
final readonly class ProbeMade extends Shape
{
    public function __construct(
        public string $id,
        public string $called,
        public string $kind,
        public ?string $key,
        public string $address,
    ) {}
}
