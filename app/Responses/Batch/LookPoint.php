<?php

namespace App\Responses\Batch;

/** A look at the colour or the scent of a jar. */
final readonly class LookPoint
{
    public function __construct(
        public string $id,
        public float $at,
        public float $value,
        public string $text,
        public string $by,
        public string $when,
        public ?string $swatch,
        public ?string $photo,
    ) {}
}
