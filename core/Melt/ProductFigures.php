<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;

/** The figures of a product, each with its reasons. */
final readonly class ProductFigures
{
    /** Where it runs is known to a few degrees: an ideal solution is an idea, and so are waxes of one kind. */
    private const DEGREES = 3.0;

    /** Poured so far over where the last of it is dissolved, degrees C: common practice, no source. */
    private const POURED_OVER = 3.0;

    /** @var ?array{runs: float, clear: float} */
    private ?array $melts;

    public function __construct(
        private ProductWish $wish,
        private Composition $pot,
        private Scents $scents,
        private TinFilling $tins,
        private MeltTable $table,
        private House $house,
        private float $lossShare,
    ) {
        $this->melts = $pot->melts($table->value('oil_g_per_mol'), $table->rules->row('runs')->number('below'));
    }

    /**
     * How warm it is melted, where it runs, and under what warmth drops go in; null for what pours cold.
     *
     * @return ?array{runs: float, clear: float, to: float, drops: float}
     */
    public function warmth(): ?array
    {
        if ($this->melts === null) {
            return null;
        }
        $hardest = max([-INF, ...array_map(fn (Weighed $each) => $each->part->fusion->meltsToC ?? -INF, $this->pot->weighed)]);

        // It need not be as warm as the wax alone melts; but what is not clear by then is not stirred long.
        return $this->melts + [
            'to' => max($this->melts['clear'], $hardest) + $this->table->value('heat_over_c'),
            // Under 50 degrees where that can be; where it begins to set before, as cool as it still stirs.
            'drops' => round(max($this->table->value('drops_below_c'), $this->melts['clear'] + 1)),
        ];
    }

    /** @return array<string, Figure> by id */
    public function all(?FirmnessSeen $seen, float $handsMin): array
    {
        $figures = [
            ...$this->masses(),
            ...$this->firmness($seen),
            ...$this->warmths(),
            ...$this->drops(),
            ...$this->filling(),
            Figure::exactly('hands_min', $handsMin, 'min', Reason::rule('melt-hands')),
            ...ProductCost::of($this->wish->product, $this->pot, $this->tins, $this->house, $handsMin)->figures(
                $this->pot->totalG,
                $this->tins->count(),
            ),
        ];
        $byId = [];
        foreach ($figures as $figure) {
            $byId[$figure->id] = $figure;
        }

        return $byId;
    }

    /** @return list<Figure> */
    private function masses(): array
    {
        $pot = $this->pot;
        $waxG = $pot->gramsOf(PartKind::Wax);
        $butterG = $pot->gramsOf(PartKind::Butter);
        $adds = Reason::rule('melt-adds');
        $figures = [
            Figure::exactly('wax_share', $waxG / $pot->totalG, 'share', ...$this->waxReasons()),
            Figure::exactly('wax_mass', $waxG, 'g', ...$this->waxReasons()),
            Figure::exactly('butter_mass', $butterG, 'g', $adds),
            Figure::exactly('oil_mass', $pot->gramsOf(PartKind::Oil), 'g', $adds),
            Figure::exactly('oil_volume', $pot->mlOf(PartKind::Oil), 'mL', Reason::rule('melt-volume')),
            Figure::exactly('total_mass', $pot->totalG, 'g', ...$this->totalReasons()),
            Figure::exactly('total_volume', $pot->totalMl, 'mL', Reason::rule('melt-volume')),
        ];
        foreach ($pot->weighed as $each) {
            $figures[] = Figure::exactly('mass.'.$each->part->key(), $each->grams, 'g', $this->why($each));
        }

        return $figures;
    }

    private function why(Weighed $each): Reason
    {
        foreach ($this->wish->all() as $going) {
            if ($going->part->key() === $each->part->key() && $going->part->kind === $each->part->kind) {
                if ($going->typed !== '') {
                    return $going->byCup
                        ? Reason::rule('melt-by-cup', [
                            'typed' => $going->typed,
                            'part' => $going->part->said,
                            'mass' => ['g' => $each->grams],
                        ])
                        : Reason::rule('given', ['typed' => $going->typed]);
                }
                if ($going->share !== null) {
                    return Reason::rule('melt-share', ['share' => ['share' => $going->share], 'total' => ['g' => $this->pot->totalG]]);
                }
            }
        }

        return $each->part->kind === PartKind::Wax
            ? $this->waxReasons()[0]
            : Reason::rule('melt-rest', ['total' => ['g' => $this->pot->totalG]]);
    }

    /** @return non-empty-list<Reason> */
    private function waxReasons(): array
    {
        $waxes = $this->pot->of(PartKind::Wax);
        if ($waxes === []) {
            return [Reason::rule('melt-no-wax')];
        }
        if ($this->wish->firmness === null || $this->wish->waxesByAmount()) {
            return [Reason::rule('melt-wax-given', ['mass' => ['g' => $this->pot->gramsOf(PartKind::Wax)]])];
        }
        $hard = array_sum(array_map(fn (Weighed $each) => $each->grams * $each->part->hardness, $waxes));
        $all = $this->pot->firmness * $this->pot->totalG;
        $equivalent = $hard / max(1e-9, $this->pot->gramsOf(PartKind::Wax));

        return [
            Reason::rule('melt-wax', [
                'wanted' => ['firmness' => $this->wish->firmness],
                'others' => ['firmness' => ($all - $hard) / $this->pot->totalG],
                'wax' => ['all' => array_map(fn (Weighed $each) => $each->part->said, $waxes)],
                'equivalent' => round($equivalent, 2),
                'share' => ['share' => $this->pot->gramsOf(PartKind::Wax) / $this->pot->totalG],
            ]),
        ];
    }

    /** @return list<Reason> */
    private function totalReasons(): array
    {
        $wish = $this->wish;
        if ($wish->totalG !== null || $wish->totalMl !== null) {
            return [Reason::rule('melt-total-given')];
        }
        if ($wish->oilsByAmount() && $wish->product->rest === 'oil') {
            return [Reason::rule('melt-total-oil', ['oil' => ['g' => $this->pot->gramsOf(PartKind::Oil)]])];
        }
        if ($wish->waxesByAmount() && $wish->firmness !== null) {
            return [Reason::rule('melt-total-wax', ['wax' => ['g' => $this->pot->gramsOf(PartKind::Wax)]])];
        }
        $holds = array_sum(array_map(fn (array $tin) => $tin['holds'] * $tin['count'], $this->tins->tins));

        return [
            Reason::rule('melt-total-tins', [
                'holds' => ['mL' => $holds],
                'loss' => ['share' => $this->lossShare],
                'g_per_ml' => round($this->pot->gramsPerMl(), 3),
            ]),
        ];
    }

    /** @return list<Figure> */
    private function firmness(?FirmnessSeen $seen): array
    {
        $pot = $this->pot;
        if ($pot->firmness <= 0) {
            return [Figure::exactly('firmness', 0.0, 'firmness', Reason::rule('melt-pours'))];
        }
        $sure = array_sum(
            array_map(fn (Weighed $each) => $each->part->id === 'beeswax' ? $pot->share($each) : 0.0, $pot->of(PartKind::Wax)),
        );
        // Beeswax counts one by definition; what the others stand for is known coarsely.
        $spread = ($pot->firmness - $sure) * $this->table->value('equivalent_spread');
        $adds = Reason::rule('melt-firmness', [
            'parts' => [
                'each' => array_values(
                    array_map(
                        fn (Weighed $each) => Said::of('melt.counts', [
                            'share' => ['share' => $pot->share($each)],
                            'part' => $each->part->said,
                            'equivalent' => $each->part->hardness,
                        ]),
                        array_filter($pot->weighed, fn (Weighed $each) => $each->part->hardness > 0),
                    ),
                ),
            ],
            'firmness' => ['firmness' => $pot->firmness],
        ]);
        $figures = [
            $spread < 1e-6
                ? Figure::exactly('firmness', $pot->firmness, 'firmness', $adds)
                : Figure::between('firmness', $pot->firmness - $spread, $pot->firmness, $pot->firmness + $spread, 'firmness', $adds),
        ];
        if ($seen !== null) {
            $range = $seen->range();
            $figures[] = Figure::between(
                'firmness_here',
                $range['low'],
                $seen->mean,
                $range['high'],
                'firmness',
                $seen->verdicts === 0
                    ? Reason::rule('melt-word', ['word' => ['band' => $this->table->firmness()->band($seen->mean)['id']]])
                    : Reason::rule('melt-word-here', [
                        'word' => ['band' => $this->table->firmness()->band($seen->mean)['id']],
                        'pots' => ['count' => $seen->verdicts],
                    ]),
            );
        }
        $softer = $this->table->firmness()->softer($this->wish->bearsC);
        if ($softer > 0) {
            $figures[] = Figure::exactly(
                'firmness_warm',
                max(0.0, $pot->firmness - $softer),
                'firmness',
                Reason::rule('melt-softer', ['warmth' => ['C' => $this->wish->bearsC], 'softer' => ['firmness' => $softer]]),
            );
        }

        return $figures;
    }

    /** @return list<Figure> */
    private function warmths(): array
    {
        $melts = $this->warmth();
        if ($melts === null) {
            return [];
        }
        $why = Reason::rule('melt-dissolves');
        $below = $this->table->value('drops_below_c');
        $pour = $melts['clear'] + self::POURED_OVER;

        return [
            Figure::between('melts_at', $melts['runs'] - self::DEGREES, $melts['runs'], $melts['runs'] + self::DEGREES, 'C', $why),
            Figure::between('clear_at', $melts['clear'] - self::DEGREES, $melts['clear'], $melts['clear'] + self::DEGREES, 'C', $why),
            Figure::exactly('melt_to', round($melts['to']), 'C', Reason::rule('melt-to')),
            Figure::between('pour_at', $pour - self::DEGREES, $pour, $pour + self::DEGREES, 'C', Reason::rule('melt-pour')),
            Figure::exactly(
                'drops_below',
                $melts['drops'],
                'C',
                $below >= $melts['clear'] + 1
                    ? Reason::rule('melt-drops-below', ['warmth' => ['C' => $below]])
                    : Reason::rule('melt-drops-as-cool', ['warmth' => ['C' => $below], 'clear' => ['C' => round($melts['clear'])]]),
            ),
        ];
    }

    /** @return list<Figure> */
    private function drops(): array
    {
        $figures = [];
        $perMl = $this->house->kitchen->dropsPerMl;
        foreach ($this->scents->each as $each) {
            $drops = $each['oil']->drops($each['grams'], $perMl);
            if ($drops !== null) {
                $figures[] = Figure::exactly(
                    'drops.'.$each['oil']->id,
                    $drops,
                    'drops',
                    Reason::rule('melt-drops', [
                        'mass' => ['g' => $each['grams']],
                        'drop_mg' => round($each['oil']->dropG($perMl) * 1000, 1),
                        'g_per_ml' => $each['oil']->density->gramsPerMl,
                        'drops' => $perMl,
                    ]),
                );
            }
            $figures[] = Figure::exactly(
                'percent.'.$each['oil']->id,
                $each['percent'],
                '%',
                Reason::rule('melt-percent', [
                    'mass' => ['g' => $each['grams']],
                    'total' => ['g' => $this->pot->totalG],
                ]),
            );
        }
        if ($this->scents->each !== []) {
            $figures[] = Figure::exactly(
                'scent_percent',
                $this->scents->percent,
                '%',
                Reason::rule('melt-ceiling', [
                    'ceiling' => ['%' => $this->scents->ceiling],
                    'by' => Said::of('melt.ceiling-'.$this->scents->by),
                ]),
            );
        }

        return $figures;
    }

    /** @return list<Figure> */
    private function filling(): array
    {
        $whipped = $this->wish->product->whipped;
        $poured = $this->pot->totalMl * (1 - $this->lossShare);
        $loss = Reason::rule('melt-loss', ['loss' => ['share' => $this->lossShare]]);
        $figures = [
            Figure::exactly('poured_volume', $poured, 'mL', $loss),
            Figure::exactly(
                'tins',
                (float) $this->tins->count(),
                'pieces',
                $this->tins->count() === 0
                    ? $loss
                    : Reason::rule('melt-tins', [
                        'tins' => [
                            'all' => array_map(
                                fn (array $tin) => Said::of('melt.tins-of', [
                                    'count' => ['count' => $tin['count']],
                                    'ml' => ['mL' => $tin['ml']],
                                ]),
                                array_values(array_filter($this->tins->tins, fn (array $tin) => $tin['count'] > 0)),
                            ),
                        ],
                        'fill' => ['share' => $this->wish->tins[0]->fill],
                    ]),
            ),
            Figure::exactly('left_over', $this->tins->leftMl, 'mL', $loss),
        ];
        if (count($this->tins->tins) === 1 && $this->tins->count() > 0) {
            $figures[] = Figure::exactly(
                'net_mass',
                ($this->tins->tins[0]['holds'] / ($whipped[1] ?? 1.0)) * $this->pot->gramsPerMl(),
                'g',
                Reason::rule('melt-net', [
                    'ml' => ['mL' => $this->tins->tins[0]['holds']],
                    'g_per_ml' => round($this->pot->gramsPerMl(), 3),
                ]),
            );
        }
        if ($whipped !== null) {
            $figures[] = Figure::between(
                'whipped_volume',
                $poured * $whipped[0],
                $poured * $whipped[1],
                $poured * $whipped[2],
                'mL',
                Reason::rule('melt-whipped'),
            );
        }

        return $figures;
    }
}
