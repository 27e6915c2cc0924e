<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Carrier;
use Kettle\Measure\Density;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Pot;

/** What is worked warm to the end because it sets in the room: melted first, strained in time, not settled, and how it will look. */
final class HardFat
{
    /** A jar to still air, W/(m2 K): radiation and natural convection together, from memory; coarse. */
    private const TO_AIR = 10.0;

    /** A fat that is so far over where it sets runs through a cloth, degrees C: common practice, no source. */
    private const RUNS = 3.0;

    /** Melted, it is measured so far over where it sets, degrees C. */
    private const MELTED = 10.0;

    /** @return list<Figure> minutes in which to strain it, and each hard fat as it measures melted */
    public static function figures(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        $figures = [];
        foreach ($wish->blend->shares() as $oil) {
            if ($oil['carrier']->setsBelowC > $kitchen->roomC) {
                $grams = $amounts->oilMl * $oil['share'] * $oil['carrier']->at20->gramsPerMl;
                $at = self::meltedAt($oil['carrier']);
                $figures[] = Figure::exactly(
                    'oil_melted.'.$oil['carrier']->id,
                    $grams / Density::ofOilAt($oil['carrier']->at20->gramsPerMl, $at)->gramsPerMl,
                    'mL',
                    Reason::rule('oil-melted', [
                        'grams' => round($grams),
                        'oil' => $oil['carrier']->said(),
                        'warmth' => ['C' => $at],
                        'g_per_ml' => round(Density::ofOilAt($oil['carrier']->at20->gramsPerMl, $at)->gramsPerMl, 3),
                    ]),
                );
            }
        }
        $minutes = self::minutesToStrain($wish, $amounts, $kitchen);
        if ($minutes !== null) {
            $figures[] = Figure::between(
                'strain_within',
                $minutes * 0.6,
                $minutes,
                $minutes * 1.4,
                'min',
                Reason::rule('strain-within', [
                    'from' => ['C' => (float) $wish->variant->targetC],
                    'sets' => ['C' => $wish->blend->setsBelow()['value']],
                    'room' => ['C' => $kitchen->roomC],
                    'minutes' => round($minutes),
                ]),
            );
        }

        return $figures;
    }

    /**
     * Newton's cooling of one jar in the room, from its warmth to a little over where it sets: t = C / (h A) ln((T -
     * T_room) / (T_s - T_room)).
     *
     * @return ?float null where it does not set here, or is not warmed
     */
    public static function minutesToStrain(Wish $wish, Amounts $amounts, Kitchen $kitchen): ?float
    {
        $until = $wish->blend->setsBelow()['value'] + self::RUNS;
        if (! $wish->sets() || $wish->variant->targetC === null || $wish->variant->targetC <= $until || $until <= $kitchen->roomC) {
            return null;
        }
        $jar = $amounts->jar;
        $kg = ($wish->blend->density(Planner::ROOM_C)->massOf($amounts->oilMl) + $amounts->herbG) / 1000 / $amounts->jars;
        $level = $amounts->levels->levelMm;
        $area = (M_PI * $jar->diameterMm() * $level + (M_PI / 2) * $jar->diameterMm() ** 2) / 1e6;

        return ((Pot::jars($kg, 0.0, WaterBath::glassG($jar->diameterMm(), $jar->heightMm) / 1000) / (self::TO_AIR * $area)) *
            log(($wish->variant->targetC - $kitchen->roomC) / ($until - $kitchen->roomC))) /
            60;
    }

    public static function meltedAt(Carrier $carrier): float
    {
        return $carrier->setsBelowC + self::MELTED;
    }

    /** How it stands at a warmth: "hard" for so many degrees under where it sets, "firm" or "soft". Common practice, no source. */
    public static function looks(float $setsBelowC, float $roomC): string
    {
        return match (true) {
            $setsBelowC - $roomC >= 12 => 'hard',
            $setsBelowC - $roomC >= 4 => 'firm',
            default => 'soft',
        };
    }
}
