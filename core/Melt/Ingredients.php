<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Herb;
use Kettle\Reason\Said;

/**
 * What is in a product, in falling order by weight, through every oil that went in: in a cook's words, and as a label of a care
 * product names it. What a plant leaves in its oil weighs less than a hundredth, and comes after what is weighed.
 */
final readonly class Ingredients
{
    /**
     * @param  list<array{name: mixed, inci: string, grams: float}>  $each falling
     * @param  list<array{name: mixed, latin: string, water?: true}>  $herbs as a sentence and as a label
     *     names them; those of a decoction or an extract are in its water
     * @param  list<string>  $allergens
     * @param  list<string>  $fragrance allergens that must be named
     */
    private function __construct(public array $each, public array $herbs, public array $allergens, public array $fragrance) {}

    public static function of(Composition $pot, Scents $scents, ?Leaf $leaf = null): self
    {
        $each = $herbs = $allergens = [];
        foreach ($pot->weighed as $weighed) {
            $allergens = [...$allergens, ...$weighed->part->allergens];
            $each = [...$each, ...self::through($weighed)];
            $herbs = [...$herbs, ...self::plants($weighed->part)];
        }

        return self::falling($each, [...$herbs, ...$leaf?->plants() ?? []], $allergens, $scents->named);
    }

    /**
     * The same thing twice is one, the heaviest first.
     *
     * @param  list<array{name: mixed, inci: string, grams: float}>  $each
     * @param  list<array{name: mixed, latin: string, water?: true}>  $herbs
     * @param  list<string>  $allergens
     * @param  list<string>  $fragrance
     */
    public static function falling(array $each, array $herbs, array $allergens, array $fragrance): self
    {
        $by = $plants = [];
        foreach ($each as $one) {
            // Shea put in as an oil and as a butter is one thing.
            $key = $one['inci'] ?: serialize($one['name']);
            $by[$key] = ['grams' => $one['grams'] + ($by[$key]['grams'] ?? 0.0)] + ($by[$key] ?? $one);
        }
        $all = array_values($by);
        // Of the same weight, in the order they were put in.
        usort($all, fn (array $a, array $b) => round($b['grams'], 6) <=> round($a['grams'], 6));
        foreach ($herbs as $herb) {
            $plants[serialize($herb)] = $herb;
        }
        $allergens = array_values(array_unique($allergens));
        sort($allergens);

        return new self($all, array_values($plants), $allergens, $fragrance);
    }

    /** @return list<array{name: mixed, latin: string, water?: true}> the plants that an oil, a decoction or an extract was made with */
    public static function plants(Part $part): array
    {
        $in = $part->boiled === null ? [] : ['water' => true];

        return array_map(fn (array $herb) => self::plant($herb['plant']) + $in, $part->herbs());
    }

    /** @return array{name: mixed, latin: string} */
    public static function plant(Herb $plant): array
    {
        return [
            'name' => $plant->id === '' ? $plant->name : $plant->said(),
            'latin' => ($plant->latin === '' ? ucfirst($plant->name) : $plant->latin).' Extract',
        ];
    }

    /** @return list<array{name: array<string, mixed>, inci: string, grams: float}> a part, or the oils it was made of */
    public static function through(Weighed $weighed): array
    {
        $infused = $weighed->part->infused;

        return $infused === null
            ? [['name' => $weighed->part->said, 'inci' => $weighed->part->inci, 'grams' => $weighed->grams]]
            : array_map(
                fn (array $oil) => [
                    'name' => $oil['carrier']->said(),
                    'inci' => $oil['carrier']->names->inci,
                    'grams' => $weighed->grams * $oil['share'],
                ],
                $infused->blend->massShares(),
            );
    }

    /** @return list<mixed> names as a sentence keeps them */
    public function cook(): array
    {
        return [
            ...array_column($this->each, 'name'),
            ...array_map(
                fn (array $herb) => Said::of('melt.from-plant'.(isset($herb['water']) ? '-water' : ''), ['herb' => $herb['name']]),
                $this->herbs,
            ),
        ];
    }

    /** @return list<string> as a label of a care product has them; what has no such name is left to its maker */
    public function inci(): array
    {
        return [
            ...array_values(array_filter(array_column($this->each, 'inci'))),
            ...array_values(array_unique(array_column($this->herbs, 'latin'))),
            ...$this->fragrance,
        ];
    }
}
