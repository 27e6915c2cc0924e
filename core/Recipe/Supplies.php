<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\HerbPart;
use Kettle\Measure\Kind;
use Kettle\Reason\Figure;
use Kettle\Reason\Note;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Stores\Allocation;
use Kettle\Stores\Condition;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;

/** What a plan takes from Stores, lot by lot, what is short, and what it costs. */
final readonly class Supplies
{
    /**
     * @param  list<array{kind: LotKind, material: string, name: mixed, lots: list<Lot>,
     *     taking: Allocation}>  $needs herbs first, in the wish's order, then oils
     */
    private function __construct(public array $needs) {}

    public static function of(Wish $wish, Amounts $amounts, Kitchen $kitchen): self
    {
        $needs = [];
        foreach ($wish->mix->shares() as $i => $share) {
            $part = $wish->mix->parts[$i];
            $lots = array_values(array_filter($kitchen->lots, fn (Lot $lot) => self::isOf($lot, $part)));
            $needs[] = [
                'kind' => LotKind::Herb,
                'material' => $part->plant->id,
                'name' => $part->plant->said(),
                'lots' => $lots,
                'taking' => Allocation::of($lots, $amounts->herbG * $share, $kitchen->today(), $part->lot),
            ];
        }
        foreach ($wish->blend->shares() as $oil) {
            $id = $oil['carrier']->id;
            $lots = array_values(array_filter($kitchen->lots, fn (Lot $lot) => $lot->kind === LotKind::Carrier && $lot->material === $id));
            $needs[] = [
                'kind' => LotKind::Carrier,
                'material' => $id,
                'name' => $oil['carrier']->said(),
                'lots' => $lots,
                'taking' => Allocation::of($lots, $amounts->oilMl * $oil['share'], $kitchen->today(), $wish->asked->oilLots[$id] ?? ''),
            ];
        }

        return new self($needs);
    }

    /** @return array{cost: float, whole: bool}|null null when nothing taken has a price */
    public function cost(): ?array
    {
        $cost = 0.0;
        $whole = true;
        $any = false;
        foreach ($this->needs as $need) {
            $each = $need['taking']->cost();
            $cost += $each['cost'];
            $whole = $whole && $each['whole'];
            $any = $any || $each['cost'] > 0;
        }

        return $any ? ['cost' => $cost, 'whole' => $whole] : null;
    }

    /**
     * @return array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}> of each oil taken from,
     *     by carrier id: the oldest that was
     */
    public function oilLots(): array
    {
        $lots = [];
        foreach ($this->needs as $need) {
            if ($need['kind'] === LotKind::Carrier && $need['taking']->takes !== []) {
                $lots[$need['material']] = $need['taking']->oldest();
            }
        }

        return $lots;
    }

    /** @return list<Note> what is short, with the ways out of it */
    public function notes(Wish $wish, Amounts $amounts, Kitchen $kitchen): array
    {
        $notes = [];
        foreach ($this->needs as $i => $need) {
            $taking = $need['taking'];
            if ($taking->short <= 0 || ! $taking->any) {
                continue;
            }
            $kind = $need['kind']->measure();
            assert($kind !== null);
            $oil = $wish->blend->shares()[$i - count($wish->mix->parts)] ?? null;
            $ways =
                $need['kind'] === LotKind::Herb
                    ? StoresRemedies::ofShortHerb($wish, $i, $taking->need - $taking->short)
                    : ($oil === null
                        ? []
                        : StoresRemedies::ofShortOil($wish, $amounts, $kitchen, $oil['carrier'], $oil['share'], $taking));
            $there = $taking->need - $taking->short;
            $notes[] = new Note(
                'short.'.($need['material'] ?: 'herb-'.$i),
                'care',
                Said::of('note.short', [
                    'what' => $need['name'],
                    'short' => [$kind->value => $taking->short],
                    'there' => $there > 0 ? [$kind->value => $there] : Said::of('note.none-usable'),
                ]),
                'oil',
                $ways,
            );
        }

        return $notes;
    }

    /** @return list<array<string, mixed>> as the plan's document has it */
    public function document(Kitchen $kitchen): array
    {
        return array_map(function (array $need) use ($kitchen): array {
            $kind = $need['kind']->measure() ?? Kind::Mass;
            $taking = $need['taking'];

            return [
                'kind' => $need['kind']->value,
                'material' => $need['material'],
                'name' => Said::just($need['name']),
                'takes' => array_map(
                    fn (array $take) => [
                        'lot' => $take['lot']->id,
                        'called' => self::called($take['lot']),
                        'amount' => round($take['amount'], 3),
                        'text' => Said::just([$kind->value => $take['amount']]),
                        'left_text' => Said::just([$kind->value => $take['lot']->stock->left - $take['amount']]),
                    ],
                    $taking->takes,
                ),
                'short' => round($taking->short, 3),
                'short_text' => $taking->any && $taking->short > 0 ? Said::just([$kind->value => $taking->short]) : null,
                'kept' => $taking->any,
                'lots' => array_map(function (Lot $lot) use ($kind, $kitchen): array {
                    $condition = Condition::of($lot, $kitchen->today(), $kitchen->cupboard());

                    return [
                        'lot' => $lot->id,
                        'called' => self::called($lot),
                        'left' => round($lot->stock->left, 3),
                        'left_text' => Said::just([$kind->value => $lot->stock->left]),
                        'condition' => $condition->is,
                        'why' => Said::of('lot.why', ['all' => ['in_a_row' => $condition->reasons]]),
                        'usable' => Condition::usable($lot, $kitchen->today()),
                    ];
                }, array_slice($need['lots'], 0, 12)),
            ];
        }, $this->needs);
    }

    /** Whether a lot is of a herb, and lies as it is wanted. */
    public static function isOf(Lot $lot, HerbPart $part): bool
    {
        return $lot->kind === LotKind::Herb &&
            ($part->plant->id === ''
                ? mb_strtolower($lot->called) === mb_strtolower($part->plant->name)
                : $lot->material === $part->plant->id) &&
            ($lot->state ?? $part->form->state) === $part->form->state;
    }

    private static function called(Lot $lot): Said
    {
        return $lot->dates->gotOn === null
            ? Said::just($lot->called)
            : Said::of('lot.got', ['called' => $lot->called, 'got' => ['short_day' => $lot->dates->gotOn]]);
    }

    /** @return list<Figure> what was taken from Stores costs, and what 100 mL of it comes to; none where nothing has a price */
    public function costFigures(float $yieldMl): array
    {
        $cost = $this->cost();
        if ($cost === null) {
            return [];
        }
        $why = Reason::rule($cost['whole'] ? 'cost' : 'cost-in-part');

        return [
            Figure::exactly('cost', round($cost['cost'], 2), 'money', $why),
            ...$yieldMl > 0
                ? [
                    Figure::exactly(
                        'cost_per_100',
                        round(($cost['cost'] / $yieldMl) * 100, 2),
                        'money',
                        $why,
                        Reason::rule('cost-per-100', ['yield_ml' => round($yieldMl)]),
                    ),
                ]
                : [],
        ];
    }
}
