<?php

namespace App\Responses\Practice;

use App\Responses\Shape;

/** A made-up jar, and what is to be done with it. */
final readonly class PracticeView extends Shape
{
    /**
     * @param  int  $jar its number, from 1
     * @param  int  $of how many there are
     * @param  list<PracticeTask>  $tasks in the order of the work
     */
    public function __construct(
        public int $jar,
        public int $of,
        public int $next,
        public string $name,
        public PracticeJar $drawing,
        public array $tasks,
    ) {}
}
