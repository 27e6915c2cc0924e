<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdStorage;
use Kettle\Material\Blend;
use Kettle\Material\Row;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;

/**
 * Until when an infused oil is good, with the reasons: the oils' own months opened, less what of them
 * is gone, on the herb too, and what heat used up, times place, glass and antioxidant; never past what the
 * herb's water allows or a seller's own day. Wet kitchen herb has four days in the cold, whatever else is so.
 */
final readonly class Keeping
{
    public const HOURS_A_MONTH = 24 * ShelfLife::DAYS_A_MONTH;

    /**
     * @param  float  $months from straining, agreeing with the day
     * @param  list<Reason>  $reasons
     * @param  ?string  $soonestOil the id of the oil whose seller's day comes before all else; null where none does
     * @param  list<string>  $spent oils that are past their own months, or their seller's day, when it is strained
     * @param  bool  $coldOnly whether it keeps in the refrigerator and nowhere else
     */
    private function __construct(
        public float $months,
        public \DateTimeImmutable $bestBefore,
        private \DateTimeImmutable $low,
        private \DateTimeImmutable $high,
        private array $reasons,
        public ?string $soonestOil = null,
        public array $spent = [],
        public bool $coldOnly = false,
    ) {}

    /** @throws KeepingException when a place, glass or antioxidant is not in the table */
    public static function of(Blend $blend, State $state, StorageFacts $facts, Tables $tables): self
    {
        $table = $tables->table('keeping');
        $place = self::row($table, 'places', $facts->place, 'place');
        $glass = self::row($table, 'glass', $facts->glass, 'glass');
        $antioxidant = self::row($table, 'antioxidants', $facts->antioxidant, 'antioxidant');
        $oils = self::oils($blend, $facts);
        $spent = array_values(array_map(fn (array $oil) => $oil['id'], array_filter($oils, fn (array $oil) => $oil['spent'])));
        if ($facts->storage === ColdStorage::FRIDGE || ($facts->kitchen && $state->isWet() && $facts->storage !== ColdStorage::SOURED)) {
            $by = ColdStorage::useBy($facts->filledAt);

            return new self(
                ColdStorage::DAYS / ShelfLife::DAYS_A_MONTH,
                $by,
                $by,
                $by,
                [Reason::rule('keeps-four-days')],
                spent: $spent,
                coldOnly: true,
            );
        }
        $weakest = $oils[0];
        $rate = 0.0;
        foreach ($oils as $oil) {
            $rate += $oil['months'] > 0 ? $oil['share'] / $oil['months'] : INF;
            $weakest = $oil['months'] < $weakest['months'] ? $oil : $weakest;
        }
        $heat = self::heatMonths($facts->heat, $table->row('heat'));
        $factor = $place->number('factor') * $glass->number('factor') * $antioxidant->number('factor');
        $base = $facts->byRates ? 1 / $rate : $weakest['months'];
        $cap = WetCap::of($state, $facts, $place->flag('cold'), $table);
        $months = min($cap->months, max(0.0, $base * $factor - $heat));
        $capped = $base * $factor - $heat > $cap->months;
        $best = ShelfLife::after($facts->strainedAt, $months);
        [$low, $high] = [
            ShelfLife::after($facts->strainedAt, $months * (1 - ShelfLife::SPREAD)),
            ShelfLife::after($facts->strainedAt, min($cap->most, $months * (1 + ShelfLife::SPREAD))),
        ];
        $reasons = [
            Reason::rule($blend->isSingle() ? 'keeps-single' : 'keeps-weakest', [
                'oil' => ['oil' => $weakest['id']],
                'months' => $weakest['opened'],
                'cap' => $capped && ! $state->isWet() && ! $facts->onHerb ? Said::of('keeps.two-years') : '',
            ]),
            ...$capped ? $cap->reasons : [],
        ];
        if (! $blend->isSingle() && is_finite($rate)) {
            $reasons[] = Reason::rule('keeps-blend', ['months' => round(min($cap->months, 1 / $rate), 1)]);
        }
        foreach ($oils as $oil) {
            if ($oil['gone'] > 0.05) {
                $reasons[] =
                    $oil['since'] !== null
                        ? Reason::rule('keeps-opened', [
                            'oil' => ['oil' => $oil['id']],
                            'day' => ['day' => $oil['since']->format('Y-m-d')],
                            'gone' => round($oil['gone'], 1),
                        ])
                        : Reason::rule('keeps-on-herb', ['gone' => round($oil['gone'], 1)]);
            }
        }
        $reasons = [...$reasons, ...self::factors($facts, $place, $glass, $antioxidant, $heat)];
        $sold = null;
        foreach ($oils as $oil) {
            if ($oil['sellers'] !== null && $oil['sellers']->setTime(0, 0) < $best->setTime(0, 0)) {
                $best = max($oil['sellers'], $facts->strainedAt->setTime(0, 0));
                $sold = $oil['id'];
                $reasons[] = Reason::rule('keeps-lot', [
                    'oil' => ['oil' => $oil['id']],
                    'day' => ['day' => $oil['sellers']->format('Y-m-d')],
                ]);
            }
        }
        $printed = $facts->printed !== null && $facts->printed->setTime(0, 0) < $best->setTime(0, 0) ? $facts->printed : null;
        if ($printed !== null) {
            [$best, $sold] = [$printed, null];
            $reasons[] = Reason::rule('keeps-printed', ['day' => ['day' => $printed->format('Y-m-d')]]);
        }
        foreach ($spent as $oil) {
            $reasons[] = Reason::rule('keeps-spent', ['oil' => ['oil' => $oil]]);
        }
        if ($facts->storage === ColdStorage::SOURED) {
            $reasons[] = Reason::rule('keeps-soured', ['months' => AcidSoak::KEEPS_MONTHS]);
        }
        if ($sold !== null || $printed !== null) {
            $months = max(0.0, ($best->getTimestamp() - $facts->strainedAt->setTime(0, 0)->getTimestamp()) / 3600 / self::HOURS_A_MONTH);
        }

        return new self(
            $months,
            $best,
            min($low, $best),
            $sold !== null || $printed !== null ? $best : max($best, $high),
            $reasons,
            $sold,
            $spent,
            $cap->coldOnly,
        );
    }

    public function figure(): Figure
    {
        return Figure::between(
            'best_before',
            $this->low->format('Y-m-d'),
            $this->bestBefore->format('Y-m-d'),
            $this->high->format('Y-m-d'),
            'date',
            ...$this->reasons,
        );
    }

    /** @param  list<array{hours: float, celsius: float}>  $heat */
    public static function heatMonths(array $heat, Row $rule): float
    {
        $months = 0.0;
        foreach ($heat as $had) {
            $months +=
                ($had['hours'] * $rule->row('q10')->number('value') ** (($had['celsius'] - $rule->row('from_c')->number('value')) / 10)) /
                self::HOURS_A_MONTH;
        }

        return $months;
    }

    /**
     * @return non-empty-list<array{id: string, share: float, opened: float, months: float, gone: float,
     *     since: ?\DateTimeImmutable, sellers: ?\DateTimeImmutable, spent: bool}>
     */
    private static function oils(Blend $blend, StorageFacts $facts): array
    {
        $oils = [];
        foreach ($blend->shares() as $oil) {
            $carrier = $oil['carrier'];
            $lot = $facts->lots[$carrier->id] ?? ['opened' => null, 'best_before' => null];
            // Nobody said when it was opened: at the latest when it was poured.
            $open = min($lot['opened'] ?? $facts->filledAt, $facts->filledAt);
            $gone = max(0.0, ($facts->strainedAt->getTimestamp() - $open->getTimestamp()) / 3600 / self::HOURS_A_MONTH);
            $months = max(0.0, $carrier->months->opened - $gone);
            $oils[] = [
                'id' => $carrier->id,
                'share' => $oil['share'],
                'opened' => $carrier->months->opened,
                'months' => $months,
                'gone' => $gone,
                'since' => $lot['opened'],
                'sellers' => $lot['best_before'],
                'spent' => $months <= 0.0 ||
                    ($lot['best_before'] !== null && $lot['best_before']->setTime(0, 0) < $facts->strainedAt->setTime(0, 0)),
            ];
        }
        assert($oils !== []);

        return $oils;
    }

    /** @return list<Reason> those that change anything */
    private static function factors(StorageFacts $facts, Row $place, Row $glass, Row $antioxidant, float $heat): array
    {
        $reasons = [];
        if ($heat >= 0.05) {
            $hours = array_sum(array_column($facts->heat, 'hours'));
            $reasons[] = Reason::rule('keeps-heat', [
                'hours' => round($hours, 1),
                'celsius' => round(array_sum(array_map(fn (array $had) => $had['hours'] * $had['celsius'], $facts->heat)) / $hours),
                'months' => round($heat, 2),
            ]);
        }
        foreach (['place' => $place, 'glass' => $glass, 'antioxidant' => $antioxidant] as $what => $row) {
            if ($row->number('factor') !== 1.0) {
                $reasons[] = Reason::rule('keeps-'.$what, [
                    $what => ['kept' => [$what, $row->text('id')]],
                    'factor' => $row->number('factor'),
                ]);
            }
        }

        return $reasons;
    }

    /**
     * A row of one of the lists of data/keeping.json.
     *
     * @param  string  $what as it is called when it is refused
     * @param  ?string  $field the field it was typed in, where that is called otherwise
     *
     * @throws KeepingException when it is not in the list
     */
    public static function row(Row $table, string $list, string $id, string $what, ?string $field = null): Row
    {
        $known = [];
        foreach ($table->rows($list) as $row) {
            if ($row->text('id') === $id) {
                return $row;
            }
            $known[] = $row->text('id');
        }
        throw KeepingException::unknown($what, $id, $known)->about($field ?? $what);
    }
}
