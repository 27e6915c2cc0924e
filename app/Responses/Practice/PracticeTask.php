<?php

namespace App\Responses\Practice;

use App\Responses\Choice;

/** One thing to be done with a made-up jar. */
final readonly class PracticeTask
{
    /**
     * @param  string  $tells what is known
     * @param  string  $unit of a bare number; empty where one is chosen
     * @param  list<Choice>  $choices none where an amount is asked for
     * @param  list<PracticeReading>  $readings of a thermometer; none where it is not asked about
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $tells,
        public string $asks,
        public string $unit,
        public array $choices,
        public array $readings,
    ) {}
}
