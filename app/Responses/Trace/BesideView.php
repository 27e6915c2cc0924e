<?php

namespace App\Responses\Trace;

use App\Responses\Choice;
use App\Responses\Shape;

/** Two batches or two products side by side: what differed, the largest first. */
final readonly class BesideView extends Shape
{
    /**
     * @param  list<BesideRow>  $rows
     * @param  int  $same how many things did not differ
     * @param  list<Choice>  $others of the same kind, the last begun first
     */
    public function __construct(public string $one, public string $other, public array $rows, public int $same, public array $others) {}
}
