<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** Cautions that hold together, the weightiest first. */
final readonly class CautionList extends Shape
{
    /** @param  list<CautionView>  $cautions */
    public function __construct(public array $cautions) {}
}
