<?php

/* What tests ask of a pot's run. */

use Kettle\Warmth\PotRun;

/** Water lost in all, kg. */
function waterLost(PotRun $run): float
{
    return $run->pot->waterKg - $run->path[count($run->path) - 1]['kg'];
}

/** Seconds until so much water is gone, kg; null when it is not. */
function losesBy(PotRun $run, float $kg): ?float
{
    foreach ($run->path as $point) {
        if ($run->pot->waterKg - $point['kg'] >= $kg) {
            return $point['s'];
        }
    }

    return null;
}
