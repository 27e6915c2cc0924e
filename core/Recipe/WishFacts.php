<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdKept;
use Kettle\Caution\Facts;
use Kettle\Material\HerbPart;

/** The facts cautions are computed from, of a wish and of what it takes from Stores. */
final readonly class WishFacts
{
    public static function of(Wish $wish, Kitchen $kitchen, ?Supplies $supplies = null): Facts
    {
        $school = $wish->school;
        $lots = [];
        $all = true;
        foreach ($supplies->needs ?? [] as $need) {
            $all = $all && $need['taking']->takes !== [];
            foreach ($need['taking']->takes as $take) {
                $lot = $take['lot'];
                $lots[] = ['called' => $lot->called, 'food' => $lot->foodGrade, 'how' => $lot->how, 'allergens' => $lot->allergens];
            }
        }

        return Facts::of(
            $wish->purpose, $wish->kept(),
            array_map(fn (HerbPart $part) => ['plant' => $part->plant, 'state' => $part->form->state], $wish->mix->parts),
            $wish->blend->shares(), $wish->blend->iodineValue(), $wish->method, $wish->way, $wish->spirit,
            ! $wish->method->heated || $school->usualH + $school->standsH > ColdKept::MOST_WARM_H,
            $lots, $all, [
                'ceiling' => $school->ceilingC === null ? '' : $kitchen->warmth($school->ceilingC),
                'cold' => $kitchen->warmth(ColdKept::CELSIUS),
            ],
        );
    }
}
