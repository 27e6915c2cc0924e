<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Facts;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Method;
use Kettle\Keeping\Keeping;
use Kettle\Material\HerbPart;
use Kettle\Reason\Said;

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
        $made = $wish->asked->before !== null;

        return Facts::of(
            $wish->purpose,
            $wish->storage(),
            [
                ...array_map(fn (HerbPart $part) => ['plant' => $part->plant, 'state' => $part->form->state], $wish->mix->parts),
                // What its oil was on before is in it yet.
                ...array_map(fn (array $herb) => ['plant' => $herb['plant'], 'state' => $herb['state']], $wish->asked->inOil->herbs ?? []),
            ],
            $wish->blend->shares(),
            $wish->blend->iodineValue(),
            // What is made already is warmed and wrung out no more.
            $made ? $kitchen->methods()->plainest(false) : $wish->method,
            $made ? 'drained' : $wish->practice->way,
            $wish->practice->spirit && ! $made,
            self::tooSlow($wish, $kitchen, $times),
            $lots,
            $all,
            [
                'ceiling' => $wish->variant->ceilingC === null ? null : ['C' => $wish->variant->ceilingC],
                'spent' => ['all' => array_map(fn (string $oil) => ['oil' => $oil], $spent)],
            ],
            $wish->asked->heeds,
        )->and(
            ($spent === [] ? [] : ['oil-spent' => true]) +
                ($made ? ['made' => true] : []) +
                ($wish->sizing->byJar?->brim === true ? ['brim' => true] : []) +
                ($wish->practice->strained ? [] : ['unstrained' => true]),
        );
    }

    /** What it comes to, for how long it takes to get warm; null where it cannot be measured out. */
    private static function amounts(Wish $wish, Kitchen $kitchen): ?Amounts
    {
        try {
            return Amounts::solve($wish, $kitchen, $kitchen->uptakeFor($wish));
        } catch (WishException) {
            return null;
        }
    }

    /** Why what is kept cold would not be in the refrigerator in time, by the timetable that will be followed; null where it is. */
    private static function tooSlow(Wish $wish, Kitchen $kitchen, ?Timetable $times): ?Said
    {
        $within = $wish->coldWithinH();
        if ($within === null) {
            return null;
        }
        if (! $wish->method->has(Method::CHILLED_AT_ONCE)) {
            return Said::of('cold.method-too-long', ['method' => ['method' => $wish->method->id]]);
        }
        $times ??= Days::of($wish, $kitchen, self::amounts($wish, $kitchen))->timetable;
        $hours = ($times->strainedBy()->getTimestamp() - $times->fillAt->getTimestamp()) / 3600;
        if ($hours > $within + 1e-9) {
            return Said::of('cold.too-late', ['filled' => ['at' => $times->fillAt], 'after' => ['limit_h' => $hours]]);
        }
        // Filled when nobody stays by, it is not strained when it should be.
        $while = $kitchen->waking->whileFrom($times->fillAt);

        return $while !== null && $while->from == $times->fillAt && $while->to >= $times->strainedBy() ? null : Said::of('cold.nobody-in');
    }
}
