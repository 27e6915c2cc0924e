<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Vessel\Cooker;
use Kettle\Warmth\Band;
use Kettle\Warmth\Heater;
use Kettle\Warmth\Load;

/** A cooker of the house, with the methods it does for. */
final readonly class CookerPlace
{
    /**
     * @param  list<string>  $kinds ids of methods
     * @param  ?Heater  $heater how it warms, where that is known
     */
    public function __construct(public Cooker $cooker, public array $kinds, public ?Heater $heater = null, private float $roomC = 20.0) {}

    /**
     * Minutes before jars that stand in it together are warm.
     *
     * @param  non-empty-list<CookerJob>  $jobs
     */
    public function warmUpMin(array $jobs): int
    {
        $loads = array_values(array_filter(array_map(fn (CookerJob $job) => $job->load, $jobs)));
        $said = max(array_map(fn (CookerJob $job) => $job->warmUpMin, $jobs));

        return $this->heater === null || $loads === []
            ? $said
            : $this->heater->warmUp(Load::together($loads), Band::about($jobs[0]->targetC, $jobs[0]->ceilingC), $this->roomC)['min'] ??
                    $said;
    }
}
