<?php

namespace App\Responses\Trace;

/** Something that differed. */
final readonly class BesideRow
{
    /**
     * @param  string  $one as it was with the first; empty where it had none
     * @param  float  $by how much of the larger, 0 to 1; 1 for what is no number
     */
    public function __construct(public string $id, public string $name, public string $one, public string $other, public float $by) {}
}
