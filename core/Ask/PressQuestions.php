<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Caution\Caution;
use Kettle\Caution\CautionException;
use Kettle\Caution\ColdStorage;
use Kettle\Diary\DiaryException;
use Kettle\Fault\FaultException;
use Kettle\Fault\FaultFinder;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\YieldException;
use Kettle\Infusion\YieldHistory;
use Kettle\Keeping\Antioxidant;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\KeepingException;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\Blend;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Time\Day;
use Kettle\Vessel\BestFilling;
use Kettle\Vessel\Filling;
use Kettle\Vessel\FillingException;

/** The questions of the press as documents in and out, for `kettle reckon` and the application. */
final readonly class PressQuestions
{
    /** Batches one question may be asked about. */
    private const MOST_BATCHES = 20_000;

    public function __construct(private Planning $planning, private Tables $tables, private Kitchen $kitchen) {}

    /**
     * What a house's own batches of one form and way say of the oil left in the herb.
     *
     * @param  array<mixed>  $document way, and batches, oldest first, each {id, oil_ml, out_ml, dry_g}; ask {oil_ml, dry_g} for a yield
     * @return array<string, mixed>
     *
     * @throws RefusedException
     */
    public function yield(array $document): array
    {
        $way = Fields::text($document, 'way') ?? 'squeezed';
        if (! in_array($way, Uptake::WAYS, true)) {
            throw new YieldException('unknown', 'Herb is drained, squeezed or pressed.', 'way');
        }
        $batches = [];
        foreach (self::list($document, 'batches', self::MOST_BATCHES) as $i => $batch) {
            $batches[] = [
                'id' => Fields::text($batch, 'id') ?? (string) ($i + 1),
                'oil_ml' => self::number($batch, 'oil_ml', "batches.{$i}"),
                'out_ml' => self::number($batch, 'out_ml', "batches.{$i}"),
                'dry_g' => self::number($batch, 'dry_g', "batches.{$i}"),
            ];
        }

        return (new YieldHistory($this->tables))->of($way, $batches);
    }

    /**
     * The filling that leaves the least over, the plainest one, and what antioxidant it wants.
     *
     * @param  array<mixed>  $document oil_ml; sizes, each {id, capacity_ml, stock, fixed}; vitamin_e (a form), iu_per_cup, capsule_iu
     * @return array{offers: list<array{id: string, bottles: list<array{id: string, capacity_ml: float, count: int}>,
     *     filled_ml: float, left_ml: float}>, vitamin_e: array<string, mixed>, rosemary: array<string, mixed>}
     *
     * @throws RefusedException
     */
    public function bottle(array $document): array
    {
        $ml = self::number($document, 'oil_ml', '');
        $sizes = [];
        foreach (self::list($document, 'sizes', 100) as $i => $size) {
            $stock = $size['stock'] ?? null;
            $sizes[] = [
                'id' => Fields::text($size, 'id') ?? (string) ($i + 1),
                'capacity' => self::number($size, 'capacity_ml', "sizes.{$i}"),
                'stock' => $stock === null ? null : (int) self::number($size, 'stock', "sizes.{$i}"),
                'fixed' => (int) (isset($size['fixed']) ? self::number($size, 'fixed', "sizes.{$i}") : 0),
            ];
        }
        $dropper = $this->kitchen->dropsPerMl;
        $antioxidant = new Antioxidant($this->tables);
        $optional = fn (string $key): ?float => isset($document[$key]) ? self::number($document, $key, '') : null;
        $density = $optional('g_per_ml') ?? 0.915;

        return [
            'offers' => self::offers($ml, $sizes),
            'vitamin_e' => $this->figures(
                $antioxidant->vitaminE(
                    $ml,
                    $dropper,
                    Fields::text($document, 'vitamin_e') ?? 'd-alpha-tocopherol',
                    $optional('iu_per_cup'),
                    $optional('capsule_iu'),
                ),
            ),
            'rosemary' => $this->figures($antioxidant->rosemary($ml, $density, $dropper)),
        ];
    }

    /**
     * @param  list<array{id: string, capacity: float, stock: ?int, fixed: int}>  $sizes
     * @return list<array{id: string, bottles: list<array{id: string, capacity_ml: float, count: int}>, filled_ml: float, left_ml: float}>
     *
     * @throws FillingException
     */
    public static function offers(float $ml, array $sizes): array
    {
        $fillings = ['least-left' => BestFilling::of($ml, $sizes)];
        // One size for all of it is what a gift table wants; the sizes that were fixed come first in any case.
        foreach ($sizes as $size) {
            $one = array_map(fn (array $each) => $each['id'] === $size['id'] ? $each : ['stock' => $each['fixed']] + $each, $sizes);
            $fillings['only.'.$size['id']] = BestFilling::of($ml, $one);
        }
        $fixed = array_sum(array_column($sizes, 'fixed'));
        $offers = $seen = [];
        foreach ($fillings as $id => $filling) {
            $key = json_encode($filling->bottles);
            // One that fills only what was wished for anyhow is no offer.
            if ($filling->bottles === [] || isset($seen[$key]) || ($id !== 'least-left' && $filling->count() === $fixed)) {
                continue;
            }
            $seen[$key] = true;
            $offers[] = ['id' => (string) $id, ...self::filled($filling)];
        }

        return $offers;
    }

    /**
     * Until when, and why.
     *
     * @param  array<mixed>  $document oils, each {id, parts, opened, best_before}; herb, state, water, purpose, kept,
     *     filled_on, strained_on, heat, each {hours, celsius}; place, glass, antioxidant, by_rates
     * @return array<string, mixed>
     *
     * @throws RefusedException
     */
    public function keep(array $document): array
    {
        $parts = $lots = [];
        foreach (self::list($document, 'oils', 12) as $i => $oil) {
            $carrier = $this->planning->cupboard()->carrier(Fields::text($oil, 'id') ?? '');
            $parts[] = ['carrier' => $carrier, 'parts' => isset($oil['parts']) ? self::number($oil, 'parts', "oils.{$i}") : 1.0];
            $lots[$carrier->id] = ['opened' => $this->day($oil, 'opened'), 'best_before' => $this->day($oil, 'best_before')];
        }
        $heat = [];
        foreach (self::list($document, 'heat', 500) as $i => $had) {
            $heat[] = [
                'hours' => self::bounded($had, 'hours', "heat.{$i}", 0, 10_000),
                'celsius' => self::bounded($had, 'celsius', "heat.{$i}", -10, 250),
            ];
        }
        $state =
            State::tryFrom(Fields::text($document, 'state') ?? 'dried') ??
            throw KeepingException::unknown('state', Fields::text($document, 'state') ?? '', ['dried', 'wilted', 'fresh'])->about('state');
        $herb = Fields::text($document, 'herb');
        $plant = $herb === null ? null : $this->planning->cupboard()->herb($herb);
        $this->planning->cupboard()->purpose(Fields::text($document, 'purpose') ?? 'skin');
        $storage = Fields::text($document, 'kept') ?? ColdStorage::SHELF;
        if (! in_array($storage, ColdStorage::ALL, true)) {
            throw KeepingException::unknown('way of keeping', $storage, ColdStorage::ALL)->about('kept');
        }
        $strained = $this->day($document, 'strained_on') ?? $this->kitchen->today();
        $filled = $this->day($document, 'filled_on') ?? $strained;
        if ($filled > $strained) {
            throw new KeepingException('out_of_range', 'It was strained after it was filled. Look at the two days.', 'strained_on');
        }
        foreach (array_values($lots) as $i => $lot) {
            if ($lot['opened'] !== null && $lot['opened'] > $filled) {
                throw new KeepingException(
                    'out_of_range',
                    'An oil is opened before it is poured. Look at the two days.',
                    "oils.{$i}.opened",
                );
            }
        }
        $facts = new StorageFacts(
            $filled,
            $strained,
            $storage,
            $heat,
            $lots,
            Fields::text($document, 'place') ?? 'cool-dark',
            Fields::text($document, 'glass') ?? 'dark',
            Fields::text($document, 'antioxidant') ?? 'none',
            ($document['by_rates'] ?? false) === true,
            isset($document['water']) ? self::bounded($document, 'water', '', 1, 97) / 100 : $state->usualWater(),
            $state->isWet() && ($plant === null || $plant->isWatery()),
            (Fields::text($document, 'purpose') ?? 'skin') === 'kitchen',
        );
        $blend = Blend::of($parts);
        $keeping = Keeping::of($blend, $state, $facts, $this->tables);

        return [
            'months' => round($keeping->months, 2),
            'spent' => array_map(fn (string $oil) => ucfirst($this->kitchen->words()->thing(['oil' => $oil])), $keeping->spent),
            'cold_only' => $keeping->coldOnly,
            'best_before' => $this->planning->figure($keeping->figure(), $this->kitchen),
            'iodine_value' => $blend->iodineValue() === null ? null : round($blend->iodineValue(), 1),
            'oxidisability' => $blend->oxidisability() === null ? null : round($blend->oxidisability(), 2),
        ];
    }

    /**
     * The cautions of a wish, whether it can be planned or not.
     *
     * @param  array<mixed>  $document a wish (docs/formats/wish.schema.json), and a place, or none for all
     * @return array{cautions: list<array<string, mixed>>}
     *
     * @throws RefusedException|WishException
     */
    public function cautions(array $document): array
    {
        $place = Fields::text($document, 'place');
        if ($place !== null && ! in_array($place, Caution::PLACES, true)) {
            throw CautionException::place($place);
        }

        $cautions = $this->planning->cautions($document, $this->kitchen, $place);

        return ['cautions' => array_map(fn (Note $caution): array => $this->kitchen->words()->tell($caution->said()), $cautions)];
    }

    /**
     * @param  array<mixed>  $document signs, ids; facts, by id, each the words it is said with
     * @return array<string, mixed>
     *
     * @throws FaultException
     */
    public function faults(array $document): array
    {
        $facts = [];
        foreach (is_array($document['facts'] ?? null) ? $document['facts'] : [] as $id => $words) {
            $facts[(string) $id] = [];
            foreach (is_array($words) ? $words : [] as $name => $word) {
                $facts[(string) $id][(string) $name] = is_scalar($word) ? mb_substr((string) $word, 0, 200) : '';
            }
        }
        $signs = is_array($document['signs'] ?? null) ? array_values($document['signs']) : [];
        foreach ($signs as $sign) {
            if (! is_string($sign)) {
                throw FaultException::nothingSeen();
            }
        }

        /** @var list<string> $signs */
        return (new FaultFinder($this->tables))->find(array_values(array_unique($signs)), $facts);
    }

    /** @return array{bottles: list<array{id: string, capacity_ml: float, count: int}>, filled_ml: float, left_ml: float} */
    private static function filled(Filling $filling): array
    {
        return [
            'bottles' => array_map(
                fn (array $bottle) => ['id' => $bottle['id'], 'capacity_ml' => $bottle['capacity'], 'count' => $bottle['count']],
                $filling->bottles,
            ),
            'filled_ml' => round($filling->filledMl, 3),
            'left_ml' => round($filling->leftMl, 3),
        ];
    }

    /**
     * @param  list<Figure>  $figures
     * @return array<string, mixed>
     */
    private function figures(array $figures): array
    {
        $named = [];
        foreach ($figures as $figure) {
            $named[$figure->id] = $this->planning->figure($figure, $this->kitchen);
        }

        return $named;
    }

    /**
     * @param  array<mixed>  $from
     * @return list<array<mixed>>
     */
    private static function list(array $from, string $key, int $most): array
    {
        $list = is_array($from[$key] ?? null) ? array_values($from[$key]) : [];
        if (count($list) > $most) {
            throw new KeepingException('too_many', sprintf('At most %d are reckoned at once.', $most), $key);
        }

        return array_map(fn (mixed $each) => is_array($each) ? $each : [], $list);
    }

    /** @param  array<mixed>  $from */
    private static function number(array $from, string $key, string $where): float
    {
        return self::bounded($from, $key, $where, -1e9, 1e9);
    }

    /** @param  array<mixed>  $from */
    private static function bounded(array $from, string $key, string $where, float $least, float $most): float
    {
        $value = $from[$key] ?? null;
        if ((! is_int($value) && ! is_float($value)) || ! ($value >= $least && $value <= $most)) {
            throw new KeepingException(
                'unreadable',
                sprintf('“%s” is a plain number%s.', $key, abs($least) < 1e9 ? sprintf(' from %g to %g', $least, $most) : ''),
                ltrim($where.'.'.$key, '.'),
            );
        }

        return (float) $value;
    }

    /** @param  array<mixed>  $from */
    private function day(array $from, string $key): ?\DateTimeImmutable
    {
        $typed = Fields::text($from, $key);

        return $typed === null
            ? null
            : Day::read($typed, $this->kitchen->today()->getTimezone()) ?? throw DiaryException::day($typed)->about($key);
    }
}
