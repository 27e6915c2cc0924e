<?php

namespace App\Responses\Today;

/** The day drawn to scale, from getting up to bed. */
final readonly class DayBar
{
    /**
     * @param  list<DayMark>  $marks
     */
    public function __construct(
        public string $wake,
        public string $bed,
        public ?float $now,
        public string $now_text,
        public array $marks,
    ) {}
}
