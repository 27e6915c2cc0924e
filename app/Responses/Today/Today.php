<?php

namespace App\Responses\Today;

use App\Responses\Boil\BoilCard;
use App\Responses\Shape;
use App\Responses\Stores\StoreTask;
use App\Responses\Stove\StoveCard;

/** What wants doing. */
final readonly class Today extends Shape
{
    /**
     * @param  list<TaskView>  $throw_away what is past the hours it may be used, before all else
     * @param  list<PlaceGroup>  $places
     * @param  list<DayGroup>  $coming
     * @param  list<StoveCard>  $stove
     * @param  list<AtTheMelt>  $melt
     * @param  list<BoilCard>  $boils pots that are boiled down, and what came of one and is past its day
     * @param  list<StoreTask>  $stores
     */
    public function __construct(
        public string $headline,
        public string $date,
        public DayBar $bar,
        public array $throw_away,
        public array $places,
        public array $coming,
        public array $stove,
        public array $melt,
        public array $boils,
        public array $stores,
        public bool $stores_more,
        public int $due,
        public int $shown,
        public bool $empty,
    ) {}
}
