<?php

namespace App\Responses\Stove;

use App\Responses\Boil\BoilCard;
use App\Responses\Shape;

/** What is warm, what wants warmth, and what there is to warm it in. */
final readonly class StovePage extends Shape
{
    /**
     * @param  list<StoveCard>  $sessions
     * @param  list<StoveWaiting>  $waiting
     * @param  list<PanCard>  $pans
     * @param  list<LeafPot>  $leaves products that have fresh leaf in them
     * @param  list<BoilCard>  $boils pots that are boiled down
     * @param  list<CookerView>  $cookers
     * @param  list<ProbeView>  $probes
     * @param  list<StoveCard>  $ended
     */
    public function __construct(
        public array $sessions,
        public array $waiting,
        public array $pans,
        public array $leaves,
        public array $boils,
        public array $cookers,
        public array $probes,
        public array $ended,
    ) {}
}
