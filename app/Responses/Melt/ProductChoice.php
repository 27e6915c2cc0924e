<?php

namespace App\Responses\Melt;

/** A product that can be made. */
final readonly class ProductChoice
{
    /**
     * @param  list<float>  $sizes_ml
     * @param  bool  $by_firmness whether wax decides how firm it is
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $note,
        public string $vessel,
        public array $sizes_ml,
        public float $usual_ml,
        public int $usual_count,
        public bool $by_firmness,
        public bool $has_wax,
        public bool $eaten,
        public bool $holds_water,
        public bool $takes_leaf,
    ) {}
}
