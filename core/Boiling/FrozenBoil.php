<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Batch\Stored;
use Kettle\Decoction\BoilingPot;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\Doneness;
use Kettle\Decoction\Rate;
use Kettle\Material\Row;
use Kettle\Material\Tables;

/** What a pot was begun with. It never changes: what was done instead is in its logbook. */
final readonly class FrozenBoil
{
    /**
     * @param  array<mixed>  $document as it was frozen
     * @param  string  $kind of the pots of data/decoction.json
     * @param  list<mixed>  $of what it is made of, as a sentence keeps it: herbs, oils
     * @param  ?float  $startsMl what stands in it at first, herb and all; null where it is only known once it is strained
     * @param  float  $endsMl what stands in it when it is done
     * @param  float  $solidsMl of that, what herb or paste takes up
     * @param  float  $oilMl of that, oil
     * @param  float  $made what is to come of it: mL, or g of what is made by weight
     * @param  array{low: float, value: float, high: float}  $rate mL an hour
     * @param  ?int  $keepsDays null where it is bottled as an oil, or goes on
     * @param  bool  $signs whether four signs tell that it is done
     * @param  bool  $bottled whether it is an oil that is bottled
     * @param  array<string, float>  $boils mL or g of other pots that it is filled from, by their ids
     * @param  array<string, float>  $lots of the house's Stores, each in its own unit
     * @param  list<string>  $allergens of what it is boiled with, beyond its oil and lots
     */
    private function __construct(
        public array $document,
        public string $kind,
        public array $of,
        public ?float $startsMl,
        public float $endsMl,
        public float $solidsMl,
        public float $oilMl,
        public float $made,
        public bool $byWeight,
        public ?BoilingPot $pot,
        public ?float $overMm,
        public array $rate,
        public float $hoursADay,
        public ?int $keepsDays,
        public bool $signs,
        public bool $underOil,
        public bool $bottled,
        public float $lowC,
        public float $highC,
        public string $purpose,
        public string $fat,
        public array $boils,
        public array $lots,
        public array $allergens,
    ) {}

    /**
     * What is kept.
     *
     * @param  array{kind: string, of: list<mixed>, starts_ml: ?float, ends_ml: float, solids_ml: float, oil_ml: float, made: float,
     *     by_weight: bool, keeps_days: ?int, purpose: string, fat: string, allergens: list<string>,
     *     takes: array{boils: list<array{boil: string, amount: float}>, lots: list<array{lot: string, amount: float}>}}  $facts
     * @return array<string, mixed>
     */
    public static function keep(array $facts, ?BoilingPot $pot, bool $froths, Rate $rate, float $hoursADay, Tables $tables): array
    {
        $row = self::row($facts['kind'], $tables) ?? throw new \LogicException("There is no pot {$facts['kind']}.");

        return $facts + [
            'pot' => $pot === null ? null : ['diameter_mm' => $pot->diameterMm, 'height_mm' => $pot->heightMm],
            'over_mm' => $pot?->overMm($froths, $tables),
            'rate' => ['low' => $rate->low, 'value' => $rate->value, 'high' => $rate->high],
            'hours_a_day' => $hoursADay,
            'signs' => $row->flag('signs'),
            'under_oil' => $row->flag('under_oil'),
            'bottled' => $row->flag('bottled'),
            'low_c' => $row->number('low_c'),
            'high_c' => $row->number('high_c'),
        ];
    }

    /** Whether what comes of it is an oil of the house, in its bottles: of herb, and not only cleansed. */
    public function becomesAnOil(): bool
    {
        return $this->bottled && count($this->of) > 1;
    }

    /** Id of the oil of what is under oil; empty where it is not known. */
    public function oil(): string
    {
        $oil = $this->of[0] ?? null;

        return is_array($oil) && is_string($oil['oil'] ?? null) ? $oil['oil'] : '';
    }

    /** @return list<mixed> the herbs it is of, as a sentence keeps them */
    public function herbs(): array
    {
        return $this->underOil ? array_slice($this->of, 1) : $this->of;
    }

    /** @return list<array{id: string}|array{name: string}> the same as a wish names them */
    public function wishedHerbs(): array
    {
        return array_map(
            fn (mixed $said) => is_array($said) && is_string($said['herb'] ?? null)
                ? ['id' => $said['herb']]
                : ['name' => is_string($said) ? $said : ''],
            $this->herbs(),
        );
    }

    /** @return array<string, float> amounts by id */
    private static function takes(Stored $stored, string $list, string $id): array
    {
        $takes = [];
        foreach ($stored->part('takes')->parts($list) as $take) {
            $takes[$take->text($id)] = ($takes[$take->text($id)] ?? 0.0) + max(0.0, $take->number('amount'));
        }
        unset($takes['']);

        return $takes;
    }

    /** What is known of a kind of pot. */
    public static function row(string $kind, Tables $tables): ?Row
    {
        foreach ($tables->table('decoction')->rows('pots') as $row) {
            if ($row->text('id') === $kind) {
                return $row;
            }
        }

        return null;
    }

    /** @param  array<mixed>  $document as it was kept; what another house's file lacks is taken for nothing */
    public static function of(array $document): self
    {
        $stored = new Stored($document);
        $pot = $stored->part('pot');
        $rate = $stored->part('rate');
        $usual = $rate->number('value', 450.0);
        try {
            $measured = $stored->array('pot') === [] ? null : BoilingPot::measured($pot->number('diameter_mm'), $pot->number('height_mm'));
        } catch (DecoctionException) {
            $measured = null;
        }

        return new self(
            $document,
            $stored->text('kind'),
            array_values($stored->array('of')),
            $stored->numberOrNull('starts_ml'),
            $stored->number('ends_ml'),
            $stored->number('solids_ml'),
            $stored->number('oil_ml'),
            $stored->number('made'),
            $stored->flag('by_weight'),
            $measured,
            $stored->numberOrNull('over_mm'),
            [
                'low' => max(1.0, $rate->number('low', $usual)),
                'value' => max(1.0, $usual),
                'high' => max(1.0, $rate->number('high', $usual)),
            ],
            min(24.0, max(1.0, $stored->number('hours_a_day', 8.0))),
            $stored->has('keeps_days') && $stored->numberOrNull('keeps_days') !== null ? $stored->count('keeps_days') : null,
            $stored->flag('signs'),
            $stored->flag('under_oil'),
            $stored->flag('bottled'),
            $stored->number('low_c', 90.0),
            $stored->number('high_c', 100.0),
            $stored->text('purpose', 'skin'),
            $stored->oneOf('fat', Doneness::FATS, 'oil'),
            self::takes($stored, 'boils', 'boil'),
            self::takes($stored, 'lots', 'lot'),
            $stored->texts('allergens'),
        );
    }
}
