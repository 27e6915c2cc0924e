<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Diary\Routine;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Uptake;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Measure\Density;
use Kettle\Recipe\Planner;
use Kettle\Recipe\Words;
use Kettle\Time\Day;

/** The plan a batch was begun with. It never changes: what was done instead is in the logbook. */
final readonly class FrozenPlan
{
    /**
     * @param  array<mixed>  $document as it was frozen, a record of PlanDocument
     * @param  non-empty-list<PlannedHerb>  $herbs
     * @param  list<PlannedOil>  $oils
     * @param  string  $title what it is called: "marshmallow root", or the name of a mix
     * @param  string  $storage of ColdStorage::ALL
     * @param  string  $way of Uptake::WAYS
     * @param  ?BaseOil  $base of a second charge: the infused oil it was made in
     */
    private function __construct(
        public array $document,
        public array $herbs,
        public array $oils,
        public PlannedJar $jar,
        public PlannedMethod $method,
        public string $title,
        public string $purpose,
        public string $storage,
        public string $way,
        public State $state,
        public string $ratio,
        public string $basis,
        public ?BaseOil $base,
    ) {}

    /** @param  array<mixed>  $document a record of PlanDocument, also of before some of it was written down */
    public static function of(array $document): self
    {
        $plan = new Stored($document);
        $first = $plan->part('herb');
        $storage = $plan->text('kept');
        $way = $plan->text('way');

        return new self(
            $document,
            array_map(PlannedHerb::of(...), $plan->parts('herbs') ?: [$first]),
            array_map(PlannedOil::of(...), $plan->parts('oils')),
            PlannedJar::of($plan->part('jar')),
            PlannedMethod::of($plan->part('method')),
            $first->textOrNull('mix') ?? $first->text('name', 'herb'),
            $plan->text('purpose', 'skin'),
            in_array($storage, ColdStorage::ALL, true) ? $storage : ColdStorage::SHELF,
            in_array($way, Uptake::WAYS, true) ? $way : 'squeezed',
            State::tryFrom($plan->text('state')) ?? State::Dried,
            $plan->text('ratio'),
            $plan->text('basis'),
            BaseOil::of($plan->part('in_oil')),
        );
    }

    /** With its names in somebody's words. */
    public function told(Words $words): self
    {
        return self::of($words->tell($this->document));
    }

    /** Whether it was made before it was entered: what went in was taken for the usual, and nothing is learned from it. */
    public function isFromBefore(): bool
    {
        return (new Stored($this->document))->part('before')->has('way_known');
    }

    /** The best-before day that stands on it, where it was bought so. */
    public function printedBestBefore(): ?\DateTimeImmutable
    {
        $day = (new Stored($this->document))->part('before')->textOrNull('best_before');

        return $day === null ? null : Day::read($day, new \DateTimeZone('UTC'));
    }

    /** What stays behind by a way, of what it goes through as it was planned. */
    public function through(Uptake $uptake, Tables $tables): Uptake
    {
        return match (true) {
            ! $this->isStrained() => $uptake->unstrained(),
            $this->isStrainedTwice() => $uptake->strainedAgain($tables),
            default => $uptake,
        };
    }

    /** Whether it goes through paper or a finer cloth a second time. */
    public function isStrainedTwice(): bool
    {
        return (new Stored($this->document))->flag('strained_twice');
    }

    /** Whether nobody remembers how much went in: nothing is learned from it. */
    public function isGuessed(): bool
    {
        return (new Stored($this->document))->flag('guessed');
    }

    /** Whether it is strained at all, and not used from the top, on its sediment. */
    public function isStrained(): bool
    {
        return (new Stored($this->document))->flag('strained', true);
    }

    public function isColdKept(): bool
    {
        return $this->storage === ColdStorage::FRIDGE;
    }

    /**
     * What it asks of the days.
     *
     * @param  ?int  $warmUpMin minutes of getting warm beside what else stands in the cooker; null for as it was planned
     */
    public function routine(Methods $methods, ?int $warmUpMin = null): Routine
    {
        return new Routine(
            $this->method->practised($methods),
            $this->method->hours,
            $this->method->standsH,
            $this->method->soakH,
            $this->isColdKept() ? (float) ColdStorage::MOST_WARM_H : null,
            $warmUpMin ?? $this->method->warmUpMin,
            $this->method->settles,
            $this->isStrained(),
        );
    }

    /** @throws \LogicException when the plan has no such figure */
    public function figure(string $id): float
    {
        return $this->figureOrNull($id) ?? throw new \LogicException("The plan has no {$id}.");
    }

    public function figureOrNull(string $id): ?float
    {
        return $this->part($id, 'value');
    }

    /** @return array{low: float, value: float, high: float} what should come out of the cloth, mL */
    public function expected(): array
    {
        $value = $this->figure('yield_volume');

        return [
            'low' => $this->part('yield_volume', 'low') ?? $value,
            'value' => $value,
            'high' => $this->part('yield_volume', 'high') ?? $value,
        ];
    }

    public function blend(Cupboard $cupboard): Blend
    {
        return Blend::of(
            array_map(fn (PlannedOil $oil) => ['carrier' => $cupboard->carrier($oil->id), 'parts' => $oil->share], $this->oils),
        );
    }

    /** Of the oil as it was blended, at the room's warmth. */
    public function density(Cupboard $cupboard): Density
    {
        return $this->blend($cupboard)->density(Planner::ROOM_C);
    }

    /** Herb as if shelf-dry, g; batches from before it was written down have only what they weighed. */
    public function dryG(): float
    {
        return (new Stored($this->document))->numberOrNull('dry_g') ?? $this->figure('herb_mass');
    }

    /** Under what the oil left in its herb is learned; null for a mix of forms. */
    public function uptakeKey(): ?string
    {
        $plan = new Stored($this->document);
        if ($plan->has('uptake_key')) {
            return $plan->textOrNull('uptake_key');
        }
        $forms = array_unique(array_map(fn (PlannedHerb $herb) => $herb->form, $this->herbs));

        return count($forms) === 1 ? $forms[0].($this->state->isWet() ? ', wet' : '') : null;
    }

    /** @return list<PlannedHerb> */
    public function wetHerbs(): array
    {
        return array_values(array_filter($this->herbs, fn (PlannedHerb $herb) => $herb->state->isWet()));
    }

    /** @return array{water: float, watery: bool} of the wettest of its herbs when they went in */
    public function wetness(Cupboard $cupboard): array
    {
        $wet = $this->wetHerbs();

        return [
            'water' => $wet === [] ? 0.0 : max(array_map(fn (PlannedHerb $herb) => $herb->waterWhenWet(), $wet)),
            'watery' => array_filter($wet, fn (PlannedHerb $herb) => $cupboard->herbOrNull($herb->id)?->isWatery() ?? true) !== [],
        ];
    }

    /** @return list<PlannedHerb> all that is in it: its own, and those its oil was on before */
    public function herbsInIt(): array
    {
        return [...$this->herbs, ...$this->base->herbs ?? []];
    }

    /** @return list<array<mixed>> the same, each as it is kept */
    public function herbsKept(): array
    {
        $plan = new Stored($this->document);

        return array_values(
            array_filter([...$plan->array('herbs') ?: [$plan->array('herb')], ...$plan->part('in_oil')->array('herbs')], is_array(...)),
        );
    }

    /** @return list<Herb> those of its herbs that the tables have */
    public function plants(Cupboard $cupboard): array
    {
        return array_values(array_filter(array_map(fn (PlannedHerb $herb): ?Herb => $cupboard->herbOrNull($herb->id), $this->herbs)));
    }

    public function hasPowder(Cupboard $cupboard): bool
    {
        return array_filter($this->herbs, fn (PlannedHerb $herb) => ($cupboard->forms()[$herb->form] ?? null)?->traits->powder === true) !==
            [];
    }

    /**
     * What its cautions are asked of.
     *
     * @param  list<array{called: string, food: bool, how: string, allergens: list<string>}>  $lots those it was made from
     * @param  array<string, mixed>  $words each as a sentence keeps it
     */
    public function facts(Cupboard $cupboard, Method $method, string $purpose, array $lots, array $words): Facts
    {
        $oils = [];
        foreach ($this->oils as $oil) {
            // An oil that has since left the tables has no facts there.
            $carrier = $cupboard->carrierOrNull($oil->id);
            if ($carrier !== null) {
                $oils[] = ['carrier' => $carrier, 'share' => $oil->share];
            }
        }

        return Facts::of(
            $purpose,
            $this->storage,
            array_map(
                fn (PlannedHerb $herb) => [
                    'plant' => $cupboard->herbOrNull($herb->id) ?? Herb::unlisted($herb->name, 'thin-leaf'),
                    'state' => $herb->state,
                ],
                $this->herbsInIt(),
            ),
            $oils,
            $this->figureOrNull('iodine_value'),
            $method,
            $this->way,
            $this->method->soakH > 0,
            null,
            $lots,
            true,
            $words,
            array_values(array_intersect_key($cupboard->heeds(), array_flip((new Stored($this->document))->texts('heed')))),
        )->and($this->isStrained() ? [] : ['unstrained' => true]);
    }

    /**
     * What went in, g, of oils by their id, of herbs by their place.
     *
     * @return array<int|string, float>
     */
    public function grams(): array
    {
        $grams = [];
        foreach ($this->oils as $oil) {
            $grams[$oil->id] = $this->figureOrNull("oil_mass.{$oil->id}") ?? $oil->share * ($this->figureOrNull('oil_mass') ?? 1.0);
        }
        foreach ($this->herbs as $i => $herb) {
            $grams[$i] = $this->figureOrNull("herb_mass.{$i}") ?? ($this->figureOrNull('herb_mass') ?? 0.0) / count($this->herbs);
        }

        return $grams;
    }

    private function part(string $figure, string $part): ?float
    {
        return (new Stored($this->document))->part('figures')->part($figure)->numberOrNull($part);
    }
}
