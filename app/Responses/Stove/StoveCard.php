<?php

namespace App\Responses\Stove;

/** A pot that is warm, at a glance. */
final readonly class StoveCard
{
    public function __construct(
        public string $id,
        public string $cooker,
        public string $jars,
        public string $state,
        public string $state_text,
        public ?string $warmth_text,
        public float $share,
        public string $left_text,
        public ?StoveAlarm $alarm,
        public bool $trial,
    ) {}
}
