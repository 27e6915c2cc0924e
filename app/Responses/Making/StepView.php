<?php

namespace App\Responses\Making;

/** A step of making a product. */
final readonly class StepView
{
    /** @param  'pour'|'spoon'|'step'|'weigh'  $does what doing it writes down */
    public function __construct(public string $id, public string $says, public string $does, public bool $done) {}
}
