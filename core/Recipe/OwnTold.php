<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\EssentialOil;
use Kettle\Material\Herb;
use Kettle\Material\Own;
use Kettle\Material\OwnMeasure;
use Kettle\Material\OwnSchool;
use Kettle\Material\OwnThing;
use Kettle\Material\State;
use Kettle\Material\Wax;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Reason\Wording;

/** What is told of a thing of a house's own because of what it is, whatever is made of it and however. */
final class OwnTold
{
    /** A rule is of the thing itself where it asks for one of these. */
    private const OF_ITSELF = '/^(trait:|scent:|own-|allergens$|drying-oil$)/';

    /** @return list<array{id: string, rank: 'stop'|'care'|'note', says: string, why: string}> */
    public static function cautions(OwnThing $own, Planning $planning, Kitchen $kitchen): array
    {
        if ($own->thing instanceof OwnMeasure || $own->thing instanceof OwnSchool) {
            return [];
        }
        $facts = self::facts($own, $planning);
        // The house may not have it yet, so its name is not asked of the house.
        $words = Words::plain(new Cupboard($planning->tables(), Own::of([$own])));
        $told = [];
        foreach ($planning->rules()->holding($facts) as $rule) {
            if (preg_grep(self::OF_ITSELF, $rule->asks()) !== []) {
                $told[] = [
                    'id' => $rule->id,
                    'rank' => $rule->rank,
                    'says' => $kitchen->inDegrees($words->of($planning->rules()->told($rule, $facts)->says)),
                    'why' => $rule->why,
                ];
            }
        }

        return $told;
    }

    /**
     * Its figures as they were understood, each with its unit.
     *
     * @return list<Said>
     */
    public static function read(OwnThing $own, Kitchen $kitchen): array
    {
        if ($own->thing instanceof OwnSchool) {
            return self::ofSchool($own->thing, $kitchen);
        }
        $read = [];
        foreach ($own->fields as $field => $value) {
            $with = match (true) {
                $value === null => null,
                $field === 'water' || $field === 'limit' => ['share' => ['%' => $value]],
                $field === 'density' => ['g' => $value],
                $field === 'sets_below' || $field === 'melts_from' || $field === 'melts_to' => ['warmth' => ['C' => $value]],
                str_starts_with($field, 'months') => ['months' => $value],
                $field === 'hardness' => ['times' => $value],
                $field === 'holds_ml' => ['volume' => ['mL' => $value]],
                $field === 'weighs_g' => ['mass' => ['g' => $value]],
                $field === 'allergens' && is_array($value) => ['what' => ['all' => $value]],
                $field === 'fatty_acids' && is_array($value) => ['acids' => ['all' => self::acids($value)]],
                default => null,
            };
            if ($with !== null) {
                $read[] = Said::of('own.read.'.($value === [] ? 'no_'.$field : $field), $value === [] ? [] : $with);
            }
        }

        return $read;
    }

    /** @return list<Said> how long and how warm, for "8 to 6 h" and "about 10" are no figures yet */
    private static function ofSchool(OwnSchool $own, Kitchen $kitchen): array
    {
        try {
            $school = OwnSchools::variant($own, $kitchen);
        } catch (RefusedException) {
            // It is told why where it is kept; one that was safe by the bounds of its day still has a page.
            return [];
        }
        $ends = ['usual' => ['h' => $school->usualH], 'least' => ['h' => $school->leastH], 'most' => ['h' => $school->mostH]];

        return [
            $school->leastH < $school->mostH
                ? Said::of('own.read.hours_between', $ends)
                : Said::of('own.read.hours', ['usual' => $ends['usual']]),
            ...$school->targetC === null ? [] : [Said::of('own.read.warmth', ['warmth' => ['C' => $school->targetC]])],
        ];
    }

    /**
     * @param  array<mixed>  $acids per cent by carbons and double bonds
     * @return list<string>
     */
    private static function acids(array $acids): array
    {
        $told = [];
        foreach ($acids as $acid => $percent) {
            $told[] = $acid.' '.Wording::number(is_int($percent) || is_float($percent) ? (float) $percent : 0.0).' %';
        }

        return $told;
    }

    private static function facts(OwnThing $own, Planning $planning): Facts
    {
        $thing = $own->thing;
        if ($thing instanceof EssentialOil) {
            $tags = $words = [];
            foreach ($thing->traits as $trait) {
                $tags['scent:'.$trait] = true;
                $words['scents_'.str_replace('-', '_', $trait)] = ['all' => [$thing->said()]];
            }

            return Facts::ofProduct('skin', [], [], null, $tags, $words);
        }
        $allergens =
            $thing instanceof Wax ? [['called' => $thing->name, 'food' => true, 'how' => '', 'allergens' => $thing->allergens]] : [];

        return Facts::of(
            'skin',
            ColdStorage::SHELF,
            $thing instanceof Herb ? [['plant' => $thing, 'state' => State::Dried]] : [],
            $thing instanceof Carrier ? [['carrier' => $thing, 'share' => 1.0]] : [],
            $thing instanceof Carrier ? $thing->iodineValueOrPublished() : null,
            $planning->methods()->method('cold'),
            'squeezed',
            // Told of what is gathered as well.
            lots: [...$allergens, ['called' => $own->name, 'food' => true, 'how' => 'gathered', 'allergens' => []]],
        );
    }
}
