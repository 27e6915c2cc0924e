<?php

declare(strict_types=1);

namespace Kettle\Keeping;

use Kettle\Caution\AcidSoak;
use Kettle\Caution\ColdKept;
use Kettle\Material\Blend;
use Kettle\Material\Row;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\Reason;
use Kettle\Reason\Reckoned;

/**
 * Until when an infused oil is good, with the reasons: the oils' own months opened, less what of them
 * is gone and what heat used up, times place, glass and antioxidant; never past what the herb's state
 * allows or a seller's own day. Wet kitchen herb has four days in the cold, whatever else is so.
 */
final readonly class Keeping
{
    /** Hours in a month of 30.44 days. */
    private const HOURS_A_MONTH = 730.56;

    /** However aged an oil is, a week is left to use it. */
    private const LEAST_MONTHS = 0.25;

    /**
     * @param  list<Reason>  $reasons
     * @param  ?string  $soonestOil the oil whose seller's day comes before all else; null where none does
     */
    private function __construct(
        public float $months,
        public \DateTimeImmutable $bestBefore,
        private \DateTimeImmutable $low,
        private \DateTimeImmutable $high,
        private array $reasons,
        public ?string $soonestOil = null,
    ) {
    }

    /** @throws KeepingRefused when a place, glass or antioxidant is not in the table */
    public static function of(Blend $blend, State $state, KeptFacts $facts, Tables $tables): self
    {
        $table = $tables->table('keeping');
        $place = self::row($table, 'places', $facts->place, 'place');
        $glass = self::row($table, 'glass', $facts->glass, 'glass');
        $antioxidant = self::row($table, 'antioxidants', $facts->antioxidant, 'antioxidant');
        if ($facts->kept === ColdKept::FRIDGE) {
            $by = ColdKept::useBy($facts->filledAt);

            return new self(ColdKept::DAYS / 30.44, $by, $by, $by, [Reason::rule('keeps-four-days')]);
        }
        $oils = self::oils($blend, $facts);
        $weakest = $oils[0];
        $rate = 0.0;
        foreach ($oils as $oil) {
            $rate += $oil['share'] / $oil['months'];
            $weakest = $oil['months'] < $weakest['months'] ? $oil : $weakest;
        }
        $heat = self::heatMonths($facts->heat, $table->row('heat'));
        $factor = $place->number('factor') * $glass->number('factor') * $antioxidant->number('factor');
        $base = $facts->byRates ? 1 / $rate : $weakest['months'];
        $cap = $state->isWet() ? ($place->flag('cold') ? ShelfLife::WET_HERB_MOST : ShelfLife::WET_HERB_CAP) : ShelfLife::DRIED_HERB_CAP;
        if ($facts->kept === ColdKept::SOURED) {
            $cap = AcidSoak::KEEPS_MONTHS;
        }
        $months = max(self::LEAST_MONTHS, $base * $factor - $heat);
        $capped = $months > $cap;
        $months = min($cap, $months);
        $best = ShelfLife::after($facts->strainedAt, $months);
        [$low, $high] = [
            ShelfLife::after($facts->strainedAt, $months * (1 - ShelfLife::SPREAD)),
            ShelfLife::after($facts->strainedAt, min($state->isWet() ? ShelfLife::WET_HERB_MOST : ShelfLife::DRIED_HERB_CAP, $months * (1 + ShelfLife::SPREAD))),
        ];
        $reasons = [Reason::rule($blend->isSingle() ? 'keeps-single' : 'keeps-weakest', [
            'oil' => ucfirst($weakest['name']), 'months' => $weakest['opened'], 'cap' => ! $capped ? '' : match (true) {
                $facts->kept === ColdKept::SOURED => '',
                $state->isWet() => sprintf('Wilted or fresh herb leaves water behind, and allows about %d months.', (int) $cap),
                default => 'Dried herb allows two years at the most.',
            },
        ])];
        if (! $blend->isSingle()) {
            $reasons[] = Reason::rule('keeps-blend', ['months' => round(min($cap, 1 / $rate), 1)]);
        }
        foreach ($oils as $oil) {
            if ($oil['gone'] > 0.05 && $oil['since'] !== null) {
                $reasons[] = Reason::rule('keeps-opened', ['oil' => $oil['name'], 'day' => $oil['since']->format('j F Y'), 'gone' => round($oil['gone'], 1)]);
            }
        }
        $reasons = [...$reasons, ...self::factors($facts, $place, $glass, $antioxidant, $heat)];
        $sold = null;
        foreach ($oils as $oil) {
            $sellers = $facts->lots[$oil['id']]['best_before'] ?? null;
            if ($sellers !== null && $sellers < $best) {
                $best = max($sellers, $facts->strainedAt->setTime(0, 0));
                $sold = $oil['name'];
                $reasons[] = Reason::rule('keeps-lot', ['oil' => $oil['name'], 'day' => $sellers->format('j F Y')]);
            }
        }
        if ($facts->kept === ColdKept::SOURED) {
            $reasons[] = Reason::rule('keeps-soured', ['months' => AcidSoak::KEEPS_MONTHS]);
        }

        return new self($months, $best, min($low, $best), $sold !== null ? $best : max($best, $high), $reasons, $sold);
    }

    public function figure(): Reckoned
    {
        return Reckoned::between(
            'best_before', $this->low->format('Y-m-d'), $this->bestBefore->format('Y-m-d'), $this->high->format('Y-m-d'), 'date', ...$this->reasons,
        );
    }

    /** @param  list<array{hours: float, celsius: float}>  $heat */
    public static function heatMonths(array $heat, Row $rule): float
    {
        $months = 0.0;
        foreach ($heat as $had) {
            $months += $had['hours'] * $rule->row('q10')->number('value') ** (($had['celsius'] - $rule->row('from_c')->number('value')) / 10) / self::HOURS_A_MONTH;
        }

        return $months;
    }

    /** @return non-empty-list<array{id: string, name: string, share: float, opened: float, months: float, gone: float, since: ?\DateTimeImmutable}> */
    private static function oils(Blend $blend, KeptFacts $facts): array
    {
        $oils = [];
        foreach ($blend->shares() as $oil) {
            $carrier = $oil['carrier'];
            $since = $facts->lots[$carrier->id]['opened'] ?? null;
            $gone = $since === null ? 0.0 : max(0.0, ($facts->filledAt->getTimestamp() - $since->getTimestamp()) / 3600 / self::HOURS_A_MONTH);
            $oils[] = [
                'id' => $carrier->id, 'name' => $carrier->name, 'share' => $oil['share'], 'opened' => $carrier->monthsOpened,
                'months' => max(self::LEAST_MONTHS, $carrier->monthsOpened - $gone), 'gone' => $gone, 'since' => $since,
            ];
        }
        assert($oils !== []);

        return $oils;
    }

    /** @return list<Reason> those that change anything */
    private static function factors(KeptFacts $facts, Row $place, Row $glass, Row $antioxidant, float $heat): array
    {
        $reasons = [];
        if ($heat >= 0.05) {
            $hours = array_sum(array_column($facts->heat, 'hours'));
            $reasons[] = Reason::rule('keeps-heat', [
                'hours' => round($hours, 1), 'celsius' => round(array_sum(array_map(fn (array $had) => $had['hours'] * $had['celsius'], $facts->heat)) / $hours),
                'months' => round($heat, 2),
            ]);
        }
        foreach (['place' => $place, 'glass' => $glass, 'antioxidant' => $antioxidant] as $what => $row) {
            if ($row->number('factor') !== 1.0) {
                $reasons[] = Reason::rule('keeps-'.$what, [$what => $row->text('name'), 'factor' => $row->number('factor')]);
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
     * @throws KeepingRefused when it is not in the list
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
        throw KeepingRefused::unknown($what, $id, $known)->about($field ?? $what);
    }
}
