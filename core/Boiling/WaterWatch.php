<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Material\Tables;

/**
 * What the warmth of a pot says. While there is water under the oil it holds the pot about the boil; when it is gone the oil
 * climbs within minutes, and the paste burns. Where from on it is taken for gone: from memory.
 */
final class WaterWatch
{
    public const AS_IT_SHOULD = 'as-it-should';

    public const COOL = 'cool';

    public const HOT = 'hot';

    public const GONE = 'gone';

    /** @return ?self::* null where nothing was measured since it was put over the flame, or it is off */
    public static function of(BoilState $state, Tables $tables): ?string
    {
        $warmths = $state->warmths;
        if ($warmths === [] || $state->stage !== Stage::On) {
            return null;
        }
        $rule = $tables->table('decoction')->row('at_the_pot');
        $last = $warmths[count($warmths) - 1];
        if ($state->plan->underOil) {
            if ($last['celsius'] > $rule->number('gone_above_c')) {
                return self::GONE;
            }
            foreach ($warmths as $earlier) {
                $minutes = ($last['at']->getTimestamp() - $earlier['at']->getTimestamp()) / 60;
                $climb = $last['celsius'] - $earlier['celsius'];
                // It is brought to its warmth first: only from there on does climbing tell.
                if (
                    $minutes <= $rule->number('climb_min') &&
                    $climb >= $rule->number('climb_c') &&
                    $earlier['celsius'] >= $state->plan->lowC &&
                    $last['celsius'] > $state->plan->highC
                ) {
                    return self::GONE;
                }
            }
        }

        return match (true) {
            $last['celsius'] > $state->plan->highC => self::HOT,
            $last['celsius'] < $state->plan->lowC => self::COOL,
            default => self::AS_IT_SHOULD,
        };
    }
}
