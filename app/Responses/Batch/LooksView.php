<?php

namespace App\Responses\Batch;

use App\Responses\Shape;

/** The colour and the scent of a jar, look by look. */
final readonly class LooksView extends Shape
{
    /**
     * @param  list<string>  $swatches
     * @param  list<string>  $words
     */
    public function __construct(public LookCurve $colour, public LookCurve $scent, public array $swatches, public array $words) {}
}
