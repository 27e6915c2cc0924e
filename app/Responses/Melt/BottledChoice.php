<?php

namespace App\Responses\Melt;

/** An oil of the house's own that still holds something. */
final readonly class BottledChoice
{
    /** @param  ?string  $from_text when it will be in its bottles, of one that stands yet */
    public function __construct(
        public string $id,
        public string $name,
        public string $code,
        public string $oils,
        public string $left_text,
        public string $best_before,
        public bool $eaten,
        public ?string $from_text,
    ) {}
}
