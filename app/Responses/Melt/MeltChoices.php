<?php

namespace App\Responses\Melt;

use App\Responses\Bench\OilChoice;
use App\Responses\Choice;
use App\Responses\Shape;

/** Everything the Melt can choose from. */
final readonly class MeltChoices extends Shape
{
    /**
     * @param  list<ProductChoice>  $products
     * @param  list<OilChoice>  $oils
     * @param  list<BottledChoice>  $bottled oils of the house's own, the last bottled first
     * @param  list<PartChoice>  $waxes
     * @param  list<PartChoice>  $butters
     * @param  list<PartChoice>  $others
     * @param  list<PartChoice>  $scents
     * @param  list<Choice>  $words for how firm it is, softest first
     * @param  list<Choice>  $people
     * @param  list<MeltHeed>  $heeds
     */
    public function __construct(
        public array $products,
        public array $oils,
        public array $bottled,
        public array $waxes,
        public array $butters,
        public array $others,
        public array $scents,
        public array $words,
        public array $people,
        public array $heeds,
    ) {}
}
