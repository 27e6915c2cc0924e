<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Listing;
use Kettle\Reason\Way;
use Kettle\Stores\Allocation;
use Kettle\Vessel\Jar;
use Kettle\Vessel\Levels;

/** What can be done instead when there is not enough in Stores: each a change to the wish that works. */
final class StoresRemedies
{
    /**
     * Oil short in Stores: a smaller batch, another oil in a blend with what that changes, another jar.
     *
     * @return list<Way>
     */
    public static function ofShortOil(
        Wish $wish,
        Amounts $amounts,
        Kitchen $kitchen,
        Carrier $carrier,
        float $share,
        Allocation $taking,
    ): array {
        $ways = [];
        $there = $taking->need - $taking->short;
        $whole = $there / $share;
        $unweighed = Change::unweighed($wish);
        if ($whole >= 20) {
            // To the millilitre below, so that there is really enough.
            $ways[] = new Way(
                'smaller-batch',
                sprintf('Make less: %s of oil in all.', AmountWriter::plain(floor($whole), Kind::Volume)),
                [...Change::unsized($wish), 'oil_amount' => floor($whole).' mL', 'herbs' => $unweighed, 'jar' => null, 'jars' => null] +
                    Change::ratioAsItIs($wish, $amounts->herbG, $amounts->oilMl),
            );
        }
        $other = self::another($wish, $kitchen, $taking->short);
        if ($other !== null) {
            $ways[] =
                $there > 0.5
                    ? self::blended($wish, $amounts, $kitchen, $carrier, $other, $taking)
                    : self::instead($wish, $amounts, $kitchen, $carrier, $other);
        }
        $smaller = self::jarForLess($wish, $amounts, $kitchen, $whole);
        if ($smaller !== null) {
            $ways[] = new Way(
                'smaller-jar',
                sprintf('Fill a %s instead.', $smaller->called),
                [...Change::unsized($wish), 'herbs' => $unweighed, 'jar' => $smaller->id, 'jars' => null] +
                    Change::ratioAsItIs($wish, $amounts->herbG, $amounts->oilMl),
            );
        }

        return $ways;
    }

    /** @return list<Way> */
    public static function ofShortHerb(Wish $wish, int $which, float $there): array
    {
        if ($there < 1) {
            return [];
        }
        $herbs = Change::unweighed($wish);
        foreach ($wish->mix->parts as $i => $part) {
            $herbs[$i] = ['parts' => Change::number($part->parts)] + (array) $herbs[$i];
        }
        $grams = floor($there * 10) / 10;
        $herbs[$which] = ['amount' => Change::number($grams).' g'] + (array) $herbs[$which];

        return [
            new Way('smaller-batch', sprintf('Make less: with the %s there is.', AmountWriter::plain($grams, Kind::Mass)), [
                ...Change::unsized($wish),
                'herbs' => $herbs,
                'jar' => null,
                'jars' => null,
            ]),
        ];
    }

    private static function instead(Wish $wish, Amounts $amounts, Kitchen $kitchen, Carrier $short, Carrier $other): Way
    {
        $parts = $oils = [];
        foreach ($wish->blend->shares() as $oil) {
            $carrier = $oil['carrier']->id === $short->id ? $other : $oil['carrier'];
            $parts[] = ['carrier' => $carrier, 'parts' => $oil['share']];
            $oils[] = ['id' => $carrier->id, 'parts' => Change::number($amounts->oilMl * $oil['share'])];
        }

        return new Way('other-oil', sprintf('Take %s instead: %s.', $other->name, self::whatChanges($wish, Blend::of($parts), $kitchen)), [
            'oils' => count($oils) === 1 ? [['id' => $other->id]] : $oils,
        ]);
    }

    private static function blended(Wish $wish, Amounts $amounts, Kitchen $kitchen, Carrier $short, Carrier $other, Allocation $taking): Way
    {
        $parts = $oils = [];
        foreach ($wish->blend->shares() as $i => $oil) {
            $ml = $amounts->oilMl * $oil['share'] - ($oil['carrier']->id === $short->id ? $taking->short : 0.0);
            $parts[] = ['carrier' => $oil['carrier'], 'parts' => $ml];
            $oils[] = ['id' => $oil['carrier']->id, 'parts' => Change::number($ml)];
        }
        $parts[] = ['carrier' => $other, 'parts' => $taking->short];
        $oils[] = ['id' => $other->id, 'parts' => Change::number($taking->short)];

        return new Way(
            'blend',
            sprintf(
                'Make up the %s with %s: %s.',
                AmountWriter::plain($taking->short, Kind::Volume),
                $other->name,
                self::whatChanges($wish, Blend::of($parts), $kitchen),
            ),
            ['oils' => $oils],
        );
    }

    /** In density, keeping and allergens. */
    private static function whatChanges(Wish $wish, Blend $blend, Kitchen $kitchen): string
    {
        $months = fn (Wish $wish): float => Planner::keeping(
            $wish,
            Days::of($wish, $kitchen, among: false)->timetable,
            null,
            $kitchen->cupboard()->tables(),
        )->months;
        [$before, $after] = [$months($wish), $months($wish->inOil($blend))];
        $new = array_diff($blend->allergens(), $wish->blend->allergens());

        return implode('; ', [
            sprintf('density %.3f for %.3f g/mL', $blend->density(20)->gramsPerMl, $wish->blend->density(20)->gramsPerMl),
            abs($after - $before) < 0.05
                ? sprintf('keeps as long, %g months', round($after, 1))
                : sprintf('keeps %g months, not %g', round($after, 1), round($before, 1)),
            $new === [] ? 'no new allergen' : 'brings '.Listing::of(array_values($new)).', an allergen',
        ]);
    }

    /** The best oil of the cupboard for the purpose that is there in that amount and is not in the blend. */
    private static function another(Wish $wish, Kitchen $kitchen, float $ml): ?Carrier
    {
        $inIt = array_map(fn (array $oil) => $oil['carrier']->id, $wish->blend->oils);
        if (count($inIt) >= Blend::MOST) {
            return null;
        }
        foreach ($kitchen->ranked($wish->purpose) as $oil) {
            $solid = ! $wish->method->heated && $oil['carrier']->setsBelowC > $kitchen->roomC;
            if ($oil['stock_ml'] >= $ml && ! $solid && $oil['carrier']->unknown === [] && ! in_array($oil['carrier']->id, $inIt, true)) {
                return $oil['carrier'];
            }
        }

        return null;
    }

    /** The largest jar that needs no more oil than there is. */
    private static function jarForLess(Wish $wish, Amounts $amounts, Kitchen $kitchen, float $oilMl): ?Jar
    {
        $perGram = $amounts->oilMl / $amounts->herbG;
        foreach (array_reverse($kitchen->jarsBySize($amounts->jar->kind)) as $jar) {
            $herb = Levels::mostHerb($jar, $wish->mix, $perGram, $wish->method->wants->headspaceMm);
            if (
                $jar->brimMl < $amounts->jar->brimMl * $amounts->jars &&
                $herb > 0 &&
                $herb * $perGram <= $oilMl &&
                Levels::in($jar, $wish->mix, $herb, $herb * $perGram)->coverMm() > 0
            ) {
                return $jar;
            }
        }

        return null;
    }
}
