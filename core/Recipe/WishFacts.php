<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Method;
use Kettle\Keeping\Keeping;
use Kettle\Material\HerbPart;

/** The facts cautions are computed from, of a wish and of what it takes from Stores. */
final readonly class WishFacts
{
    public static function of(
        Wish $wish,
        Kitchen $kitchen,
        ?Supplies $supplies = null,
        ?Keeping $keeping = null,
        ?Timetable $times = null,
    ): Facts {
        $lots = [];
        $all = true;
        foreach ($supplies->needs ?? [] as $need) {
            $all = $all && $need['taking']->takes !== [];
            foreach ($need['taking']->takes as $take) {
                $lot = $take['lot'];
                $lots[] = [
                    'called' => $lot->called,
                    'food' => $lot->origin->foodGrade,
                    'how' => $lot->origin->how,
                    'allergens' => $lot->origin->allergens,
                ];
            }
        }
        $spent = $keeping->spent ?? [];

        return Facts::of(
            $wish->purpose,
            $wish->storage(),
            array_map(fn (HerbPart $part) => ['plant' => $part->plant, 'state' => $part->form->state], $wish->mix->parts),
            $wish->blend->shares(),
            $wish->blend->iodineValue(),
            $wish->method,
            $wish->practice->way,
            $wish->practice->spirit,
            self::tooSlow($wish, $kitchen, $times),
            $lots,
            $all,
            [
                'ceiling' => $wish->variant->ceilingC === null ? '' : $kitchen->warmth($wish->variant->ceilingC),
                'cold' => $kitchen->warmth(ColdStorage::CELSIUS),
                'danger' => $kitchen->warmth(5.0).' and '.$kitchen->warmth(57.0),
                'spent' => implode(' and ', $spent),
            ],
        )->and($spent === [] ? [] : ['oil-spent' => true]);
    }

    /** "4 h 20 min": a limit of hours is not told in rounded ones. */
    private static function hours(float $hours): string
    {
        $minutes = (int) ceil($hours * 60 - 1e-9);

        return intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : ' '.$minutes % 60 .' min');
    }

    /** What it comes to, for how long it takes to get warm; null where it cannot be measured out. */
    private static function amounts(Wish $wish, Kitchen $kitchen): ?Amounts
    {
        try {
            return Amounts::solve($wish, $kitchen, $kitchen->uptake($wish->mix, $wish->practice->way));
        } catch (WishException) {
            return null;
        }
    }

    /** Why what is kept cold would not be in the refrigerator in time, by the timetable that will be followed; empty where it is. */
    private static function tooSlow(Wish $wish, Kitchen $kitchen, ?Timetable $times): string
    {
        $within = $wish->coldWithinH();
        if ($within === null) {
            return '';
        }
        if (! $wish->method->has(Method::CHILLED_AT_ONCE)) {
            return $wish->method->name.' keeps it warm for longer than is safe';
        }
        $times ??= Days::of($wish, $kitchen, self::amounts($wish, $kitchen))->timetable;
        $hours = ($times->strainedBy()->getTimestamp() - $times->fillAt->getTimestamp()) / 3600;
        if ($hours > $within + 1e-9) {
            return sprintf(
                'as it stands it would be covered on %s and cold %s later',
                $times->fillAt->format('l \\a\\t H:i'),
                self::hours($hours),
            );
        }
        // Filled when nobody stays by, it is not strained when it should be.
        $while = $kitchen->waking->whileFrom($times->fillAt);

        return $while !== null && $while->from == $times->fillAt && $while->to >= $times->strainedBy()
            ? ''
            : 'nobody is at home for so long at once';
    }
}
