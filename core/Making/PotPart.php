<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Batch\Stored;
use Kettle\Material\EssentialOil;
use Kettle\Melt\Ingredients;
use Kettle\Melt\Part;
use Kettle\Melt\PartKind;
use Kettle\Melt\Weighed;

/** A part of a product as it was frozen with the plan, or put in since: all that its record is reckoned from later. */
final readonly class PotPart
{
    /**
     * @param  string  $id its key in the pot
     * @param  array<mixed>  $said its name as a sentence keeps it
     * @param  float  $grams planned, or put in
     * @param  float  $hardness parts of beeswax that one part stands for
     * @param  ?string  $batch the batch of the house whose bottles it is poured from
     * @param  ?array{id: string, amount: float}  $boil the pot of the house it is taken from, and how much in its own unit
     * @param  list<array{lot: string, amount: float}>  $lots it is taken from, in the lots' own unit
     * @param  list<array{name: mixed, inci: string, share: float}>  $through what it was itself made of, by weight
     * @param  list<array{name: mixed, latin: string, water?: true}>  $herbs
     * @param  list<string>  $allergens
     * @param  ?float  $mostShare of the whole, where there is a limit to it
     * @param  ?float  $dropG what one drop of it weighs; null for what is not counted in drops
     * @param  ?string  $until Y-m-d, where it was put in since
     */
    private function __construct(
        public string $id,
        public PartKind $kind,
        public array $said,
        public float $grams,
        public float $gramsPerMl,
        public float $hardness,
        public ?string $batch,
        public array $lots,
        public array $through,
        public array $herbs,
        public array $allergens,
        public ?float $mostShare,
        public ?float $dropG,
        public ?string $until,
        public ?array $boil = null,
    ) {}

    /**
     * @param  list<array{lot: string, amount: float}>  $lots
     * @param  ?float  $limitPercent of the whole
     */
    public static function of(Weighed $each, float $dropsPerMl, array $lots, ?float $limitPercent = null, ?string $until = null): self
    {
        $part = $each->part;
        $inside = array_map(
            fn (array $one) => ['name' => $one['name'], 'inci' => $one['inci'], 'share' => $one['grams'] / max(1e-9, $each->grams)],
            Ingredients::through($each),
        );

        return new self(
            $part->key(),
            $part->kind,
            $part->said,
            $each->grams,
            $part->gramsPerMl,
            $part->hardness,
            $part->infused?->id,
            $lots,
            $inside,
            Ingredients::plants($part),
            $part->allergens,
            $limitPercent === null ? null : $limitPercent / 100,
            self::dropOf($part->scent, $dropsPerMl),
            $until,
            $part->boiled === null ? null : ['id' => $part->boiled->id, 'amount' => round($part->boiled->unitsOf($each), 3)],
        );
    }

    public static function read(Stored $kept): self
    {
        return new self(
            $kept->text('id'),
            PartKind::tryFrom($kept->text('kind')) ?? PartKind::Additive,
            $kept->array('said'),
            $kept->number('grams'),
            $kept->number('g_per_ml', 1.0),
            $kept->number('hardness'),
            $kept->textOrNull('batch'),
            array_map(fn (Stored $lot) => ['lot' => $lot->text('lot'), 'amount' => $lot->number('amount')], $kept->parts('lots')),
            array_map(
                fn (Stored $one) => ['name' => $one->array('name'), 'inci' => $one->text('inci'), 'share' => $one->number('share')],
                $kept->parts('through'),
            ),
            array_map(
                fn (Stored $herb) => ['name' => $herb->textOrNull('name') ?? $herb->array('name'), 'latin' => $herb->text('latin')] +
                    ($herb->flag('water') ? ['water' => true] : []),
                $kept->parts('herbs'),
            ),
            $kept->texts('allergens'),
            $kept->numberOrNull('most_share'),
            $kept->numberOrNull('drop_g'),
            $kept->textOrNull('until'),
            $kept->has('boil') && $kept->part('boil')->text('id') !== ''
                ? ['id' => $kept->part('boil')->text('id'), 'amount' => $kept->part('boil')->number('amount')]
                : null,
        );
    }

    /** @return array<string, mixed> */
    public function kept(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'said' => $this->said,
            'grams' => round($this->grams, 4),
            'g_per_ml' => $this->gramsPerMl,
            'hardness' => $this->hardness,
            'batch' => $this->batch,
            'lots' => $this->lots,
            'through' => $this->through,
            'herbs' => $this->herbs,
            'allergens' => $this->allergens,
            'most_share' => $this->mostShare,
            'drop_g' => $this->dropG,
            'until' => $this->until,
        ] + ($this->boil === null ? [] : ['boil' => $this->boil]);
    }

    public function holding(float $grams): self
    {
        return new self(
            $this->id,
            $this->kind,
            $this->said,
            $grams,
            $this->gramsPerMl,
            $this->hardness,
            $this->batch,
            $this->lots,
            $this->through,
            $this->herbs,
            $this->allergens,
            $this->mostShare,
            $this->dropG,
            $this->until,
            $this->boil,
        );
    }

    /** mL at 20 C. */
    public function ml(): float
    {
        return $this->grams / $this->gramsPerMl;
    }

    public function isCool(): bool
    {
        return $this->kind->goesInCool();
    }

    /** @return array<string, float> in drops where it goes in by the drop, else in g */
    public function amount(): array
    {
        return $this->dropG === null ? ['g' => $this->grams] : ['drops' => round($this->grams / $this->dropG)];
    }

    private static function dropOf(?EssentialOil $scent, float $dropsPerMl): ?float
    {
        return $scent === null || $scent->solid ? null : $scent->dropG($dropsPerMl);
    }
}
