<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryException;
use Kettle\Material\Blend;
use Kettle\Material\Herb;
use Kettle\Material\MaterialException;
use Kettle\Material\State;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Stores\Lot;
use Kettle\Stores\LotDates;
use Kettle\Stores\LotKind;
use Kettle\Stores\Origin;
use Kettle\Stores\Stock;
use Kettle\Time\Dates;
use Kettle\Time\Day;

/**
 * An oil of the house's own that goes on fresh herb once more: a second charge. What it was made of, its age and the warmth it
 * has had go on with it, so no deadline moves later for it and no caution is lost.
 */
final readonly class InfusedOil
{
    /** Between an oil's id and a carrier's, in the id of a lot. */
    private const OF = ':';

    /** Below this, mL, there is none. */
    private const NONE = 0.5;

    private const BLANK = [null, '', []];

    /** Parts that are this much apart, of the whole, are not the same oil. */
    private const SAME = 0.01;

    /**
     * @param  string  $id of its batch
     * @param  string  $called "calendula oil of 6 November"
     * @param  array<string, mixed>|string  $said the same as a sentence keeps it
     * @param  \DateTimeImmutable  $since when its oil went on herb first
     * @param  ?\DateTimeImmutable  $opened of the oldest oil in it; null where nobody said
     * @param  list<array{plant: Herb, state: State, kept: array<mixed>}>  $herbs it has had, each also as a plan keeps it
     * @param  list<array{hours: float, celsius: float}>  $heat it has had
     * @param  list<string>  $allergens of what it was made from, beyond those of its oils
     * @param  bool  $food whether every part of it is known to be of food grade, and it was made to be eaten
     * @param  bool  $coldOnly whether it keeps in the refrigerator and nowhere else
     * @param  ?float  $costPerMl in the house's currency
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $called,
        public array|string $said,
        public Blend $blend,
        public float $leftMl,
        public \DateTimeImmutable $since,
        public ?\DateTimeImmutable $opened,
        public \DateTimeImmutable $bestBefore,
        public array $herbs,
        public array $heat = [],
        public array $allergens = [],
        public bool $food = false,
        public bool $coldOnly = false,
        public ?float $costPerMl = null,
    ) {}

    /** The batch whose oil a wish is made in; null where it is made in oils by themselves. */
    public static function wished(mixed $wish): ?string
    {
        $said = is_array($wish) ? $wish['in_oil'] ?? null : null;

        return is_array($said) ? Fields::text($said, 'batch') ?? '' : null;
    }

    /**
     * @param  array<mixed>  $wish
     * @return array{array<mixed>, Kitchen, ?self} the wish and the kitchen to reckon it in: as they are, where nothing of it is infused yet
     *
     * @throws WishException
     */
    public static function of(array $wish, Kitchen $kitchen): array
    {
        try {
            $id = self::wished($wish);
            if ($id === null) {
                return [$wish, $kitchen, null];
            }
            $oil = $kitchen->infused($id) ?? throw MaterialException::noSuchInfused();
            $oil->check($wish, $kitchen);
        } catch (RefusedException $refused) {
            throw WishException::from($refused->about('in_oil'));
        }
        $oils = array_map(fn (array $each) => $each + ['lot' => $oil->lotOf($each['id'])], $oil->oils());
        $sized = array_filter(
            ['oil_amount', 'finished', 'by_jar', 'jar', 'jars'],
            fn (string $key) => ! in_array($wish[$key] ?? null, self::BLANK, true),
        );
        $weighed = array_filter(
            HerbsReader::list($wish),
            fn (mixed $herb) => is_array($herb) && ! in_array($herb['amount'] ?? null, self::BLANK, true),
        );
        // Where nothing else is said it is as much as there is of it.
        $all = $sized === [] && $weighed === [] ? ['oil_amount' => round($oil->leftMl, 1).' mL'] : [];

        return [[...$wish, 'oils' => $oils, ...$all], $kitchen->holding($oil), $oil];
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishException with every fault found
     * @throws RefusedException where an oil cannot be read
     */
    private function check(array $wish, Kitchen $kitchen): void
    {
        $faults = [];
        if (! in_array($wish['begun'] ?? null, self::BLANK, true) || ! in_array($wish['before'] ?? null, self::BLANK, true)) {
            $faults[] = MaterialException::infusedAndBegun();
        }
        if ($this->leftMl < self::NONE) {
            $faults[] = MaterialException::infusedUsedUp($this->called);
        }
        if ($this->coldOnly) {
            $faults[] = MaterialException::infusedCold($this->called);
        }
        if ($this->bestBefore < $kitchen->today()) {
            $faults[] = MaterialException::infusedPast($this->called, Dates::say($this->bestBefore, 'day'));
        }
        $faults = array_map(fn (RefusedException $fault) => $fault->about('in_oil'), $faults);
        if (! $this->isWhatIsSaid($wish)) {
            $faults[] = MaterialException::infusedOils($this->called)->about('oils');
        }
        if ($faults !== []) {
            throw WishException::faults(array_map(fn (RefusedException $fault) => $fault->toArray(), $faults));
        }
    }

    /**
     * Whether the oils of a wish, where it names any, are those it is made of.
     *
     * @param  array<mixed>  $wish
     */
    private function isWhatIsSaid(array $wish): bool
    {
        $oils = OilsReader::list($wish);
        if ($oils === []) {
            return true;
        }
        $parts = [];
        foreach ($oils as $oil) {
            $oil = is_array($oil) ? $oil : ['id' => $oil];
            if (Fields::text($oil, 'amount') !== null || Fields::text($oil, 'lot') !== null) {
                return false;
            }
            $parts[Fields::text($oil, 'id') ?? ''] = (float) (Fields::text($oil, 'parts') ?? '1');
        }
        $whole = array_sum($parts);
        foreach ($this->blend->shares() as $each) {
            $share = $whole > 0 ? ($parts[$each['carrier']->id] ?? 0.0) / $whole : 0.0;
            if (abs($share - $each['share']) > self::SAME) {
                return false;
            }
        }

        return count($parts) === count($this->blend->oils);
    }

    /** @return list<array{id: string, parts: string}> its oils, as a wish names them */
    public function oils(): array
    {
        return array_map(
            fn (array $each) => ['id' => $each['carrier']->id, 'parts' => sprintf('%.4f', $each['share'] * 100)],
            $this->blend->shares(),
        );
    }

    /** @return list<Lot> what there is of it, oil by oil: as old as it is, and good until its own day */
    public function lots(): array
    {
        return array_map(function (array $oil): Lot {
            $ml = round($this->leftMl * $oil['share'], 3);

            return new Lot(
                $this->lotOf($oil['carrier']->id),
                LotKind::Carrier,
                $oil['carrier']->id,
                trim($this->code.', '.$this->called, ', '),
                new Stock($ml, $ml, price: $this->costPerMl === null ? null : $this->costPerMl * $ml),
                new LotDates(openedOn: $this->openedBy(), bestBefore: $this->bestBefore),
                new Origin('', $this->food, $this->allergens),
            );
        }, $this->blend->shares());
    }

    /** The batch an amount is taken from; null where it is taken from a lot of Stores. */
    public static function batchOf(string $lot): ?string
    {
        return str_contains($lot, self::OF) ? explode(self::OF, $lot)[0] : null;
    }

    /** @return array<string, mixed> what a plan keeps of it, so that the batch made in it is as old, and as much to be minded, as it is */
    public function record(): array
    {
        return [
            'batch' => $this->id,
            'code' => $this->code,
            'since' => $this->since->format('Y-m-d'),
            'opened' => $this->openedBy()->format('Y-m-d'),
            'best_before' => $this->bestBefore->format('Y-m-d'),
            'heat' => $this->heat,
            'herbs' => array_column($this->herbs, 'kept'),
        ];
    }

    /**
     * Reads one of a house's own, for use without an application around it.
     *
     * @param  array<mixed>  $fields id, called, oils, left, since, opened, best_before, herbs, heat, allergens, food, cold_only
     *
     * @throws RefusedException
     */
    public static function read(array $fields, Kitchen $kitchen): self
    {
        $cupboard = $kitchen->cupboard();
        $day = function (string $key) use ($fields, $kitchen): ?\DateTimeImmutable {
            $typed = Fields::text($fields, $key);

            return $typed === null
                ? null
                : Day::read($typed, $kitchen->today()->getTimezone()) ?? throw DiaryException::day($typed)->about($key);
        };
        $id = Fields::text($fields, 'id') ?? '';
        $oils = (new OilsReader($cupboard, $kitchen))->read($fields)['blend'];
        $herbs = [];
        foreach (HerbsReader::list($fields) as $herb) {
            $herb = is_array($herb) ? $herb : ['id' => $herb];
            $state = State::tryFrom(Fields::text($herb, 'state') ?? '') ?? throw MaterialException::driedOrFresh();
            $plant =
                ($known = Fields::text($herb, 'id')) === null
                    ? Herb::unlisted(Fields::text($herb, 'name') ?? throw MaterialException::noHerb(), 'thin-leaf')
                    : $cupboard->herb($known);
            $herbs[] = [
                'plant' => $plant,
                'state' => $state,
                'kept' => ['id' => $plant->id, 'name' => $plant->name, 'latin' => $plant->latin, 'state' => $state->value],
            ];
        }
        $heat = [];
        foreach (is_array($fields['heat'] ?? null) ? $fields['heat'] : [] as $had) {
            $had = is_array($had) ? $had : [];
            $heat[] = [
                'hours' => (float) (Fields::text($had, 'hours') ?? '0'),
                'celsius' => (float) (Fields::text($had, 'celsius') ?? '0'),
            ];
        }

        return new self(
            $id,
            Fields::text($fields, 'code') ?? '',
            Fields::text($fields, 'called') ?? $id,
            Fields::text($fields, 'called') ?? $id,
            $oils,
            $kitchen
                ->reader()
                ->one()
                ->within(Fields::text($fields, 'left') ?? '', Kind::Volume, 'mL', 0.0, 20_000.0)->value,
            $day('since') ?? $kitchen->today(),
            $day('opened'),
            $day('best_before') ?? throw MaterialException::infusedDay(),
            $herbs === [] ? throw MaterialException::noHerb() : $herbs,
            $heat,
            is_array($fields['allergens'] ?? null) ? array_values(array_filter($fields['allergens'], is_string(...))) : [],
            ($fields['food'] ?? false) === true,
            ($fields['cold_only'] ?? false) === true,
        );
    }

    /** Nobody said when it was opened: at the latest when it went on herb. */
    private function openedBy(): \DateTimeImmutable
    {
        return $this->opened === null ? $this->since : min($this->opened, $this->since);
    }

    private function lotOf(string $carrier): string
    {
        return $this->id.self::OF.$carrier;
    }
}
