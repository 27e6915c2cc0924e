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
     * @param  list<array{name: array<string, mixed>, inci: string, grams: float}>  $each falling
     * @param  list<Herb>  $herbs that are in the oils
     * @param  list<string>  $allergens
     * @param  list<string>  $fragrance allergens that must be named
     */
    private function __construct(public array $each, public array $herbs, public array $allergens, public array $fragrance) {}

    public static function of(Composition $pot, Scents $scents): self
    {
        $by = $herbs = $allergens = [];
        foreach ($pot->weighed as $weighed) {
            $part = $weighed->part;
            $allergens = [...$allergens, ...$part->allergens];
            foreach (self::through($weighed) as $each) {
                // Shea put in as an oil and as a butter is one thing.
                $key = $each['inci'] ?: $part->id;
                $by[$key] = ['grams' => $each['grams'] + ($by[$key]['grams'] ?? 0.0)] + ($by[$key] ?? $each);
            }
            foreach ($part->infused->herbs ?? [] as $herb) {
                $herbs[$herb['plant']->id.$herb['plant']->name] = $herb['plant'];
            }
        }
        $all = array_values($by);
        // Of the same weight, in the order they were put in.
        usort($all, fn (array $a, array $b) => round($b['grams'], 6) <=> round($a['grams'], 6));
        $allergens = array_values(array_unique($allergens));
        sort($allergens);

        return new self($all, array_values($herbs), $allergens, $scents->named);
    }

    /** @return list<array{name: array<string, mixed>, inci: string, grams: float}> a part, or the oils it was made of */
    private static function through(Weighed $weighed): array
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

    /** @return list<array<string, mixed>|Said> */
    public function cook(): array
    {
        return [
            ...array_column($this->each, 'name'),
            ...array_map(
                fn (Herb $herb) => Said::of('melt.from-plant', ['herb' => $herb->id === '' ? $herb->name : $herb->said()]),
                $this->herbs,
            ),
        ];
    }

    /** @return list<string> as a label of a care product has them; what has no such name is left to its maker */
    public function inci(): array
    {
        return [
            ...array_values(array_filter(array_column($this->each, 'inci'))),
            ...array_map(fn (Herb $herb) => ($herb->latin === '' ? ucfirst($herb->name) : $herb->latin).' Extract', $this->herbs),
            ...$this->fragrance,
        ];
    }
}
