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
