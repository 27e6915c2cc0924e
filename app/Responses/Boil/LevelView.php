<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** What the level in a pot tells: how much goes in an hour, how much is left to go, and when it is gone. */
final readonly class LevelView extends Shape
{
    /**
     * @param  list<LevelPoint>  $points the marks, and what stands there by each
     * @param  string  $rate "410 mL an hour, 380 to 440"
     * @param  ?string  $left "5.1 L of water still to go"; null where nobody said where it ends
     * @param  ?string  $more "11 to 13 h of flame"
     * @param  float  $from_ml where the line stands at no hours, and at the last mark
     * @param  string  $end_text hours at the end of the line, in words
     * @param  ?float  $end_h hours of flame at the end, with the two it lies between
     */
    public function __construct(
        public array $points,
        public string $rate,
        public ?string $left,
        public ?string $more,
        public ?float $end_h,
        public ?float $end_low_h,
        public ?float $end_high_h,
        public ?float $end_ml,
        public float $from_ml,
        public float $now_ml,
        public string $from_text,
        public string $end_text,
    ) {}
}
