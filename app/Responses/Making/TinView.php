<?php

namespace App\Responses\Making;

/** One tin, jar, stick or bottle of a product. */
final readonly class TinView
{
    public function __construct(
        public int $number,
        public float $ml,
        public string $ml_text,
        public string $net_text,
        public string $state,
        public string $to,
        public ?string $price_text,
    ) {}
}
