<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** What is likely wrong, in the order to check. */
final readonly class FaultsFound extends Shape
{
    /**
     * @param  list<FaultCause>  $causes
     * @param  'keep'|'use-soon'|'discard-if-eaten'|'discard'  $keep
     */
    public function __construct(public string $keep, public string $says, public array $causes) {}
}
