<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** The batch whose oil another was made in. */
final readonly class BaseView extends Shape
{
    public function __construct(public string $id, public string $code, public string $name) {}
}
