<?php

namespace App\Responses\Making;

/** A product in a list. */
final readonly class MakingCard
{
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $vessel,
        public string $stage,
        public string $stage_text,
        public int $tins,
        public int $tins_left,
        public string $stands,
        public string $best_before,
        public bool $past,
    ) {}
}
