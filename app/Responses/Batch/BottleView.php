<?php

namespace App\Responses\Batch;

/** A bottle: what it held, what is left, where it went. */
final readonly class BottleView
{
    /**
     * @param  'in'|'used'|'given'|'thrown'  $state
     */
    public function __construct(
        public int $number,
        public string $called,
        public string $filled,
        public float $filled_ml,
        public string $left,
        public float $left_ml,
        public string $state,
        public string $to,
    ) {}
}
