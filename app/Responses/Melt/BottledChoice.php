<?php

namespace App\Responses\Melt;

/** An oil of the house's own that still holds something. */
final readonly class BottledChoice
{
    public function __construct(
        public string $id,
        public string $name,
        public string $code,
        public string $oils,
        public string $left_text,
        public string $best_before,
        public bool $eaten,
    ) {}
}
