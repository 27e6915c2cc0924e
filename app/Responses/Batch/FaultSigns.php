<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** What may be seen of an oil, a jar or a product. */
final readonly class FaultSigns extends Shape
{
    /** @param  list<FaultSign>  $signs */
    public function __construct(public array $signs) {}
}
