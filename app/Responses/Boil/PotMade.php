<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What came of a pot. */
final readonly class PotMade extends Shape
{
    /**
     * @param  ?string  $best_before null where it is an oil, which has a day of its own, or goes on
     * @param  ?string  $goes_in id of the addition that it is in a cream; null where it goes into none
     * @param  ?float  $percent how much of a cream it usually is; null for all its water
     * @param  ?string  $batch id of the oil that it was bottled as
     */
    public function __construct(
        public string $amount,
        public string $left,
        public string $where,
        public string $when,
        public ?string $best_before,
        public bool $past,
        public ?string $batch,
        public ?string $goes_in,
        public ?float $percent,
    ) {}
}
