<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Keeping\Keeping;
use Kettle\Keeping\KeepingException;
use Kettle\Keeping\ShelfLife;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\Blend;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;

/** Until when a product is good: as its weakest part, and never longer than such a product keeps. */
final readonly class ProductKeeping
{
    /** @param  list<Reason>  $reasons */
    private function __construct(
        public \DateTimeImmutable $bestBefore,
        private \DateTimeImmutable $low,
        private \DateTimeImmutable $high,
        private array $reasons,
        public bool $coldOnly,
    ) {}

    public static function of(Composition $pot, ProductWish $wish, House $house, Tables $tables, ?ProductDays $days = null): self
    {
        $today = ($days->makeAt ?? $house->kitchen->today())->setTime(0, 0);
        $ends = [];
        $coldOnly = false;
        $plain = [];
        $preserved = $pot->of(PartKind::Preservative) !== [];
        foreach ($pot->weighed as $each) {
            $part = $each->part;
            // Water by itself keeps days; with a preservative in it, as long as the product does.
            if ($part->kind === PartKind::Water && $preserved) {
                continue;
            }
            $coldOnly = $coldOnly || $part->infused?->coldOnly === true;
            if ($part->ownDay() !== null) {
                // Of one that is not begun yet, as it would be begun.
                $until = $days?->until($part) ?? $part->ownDay();
                $ends[] = [$until, $until, Reason::rule('melt-keeps-batch', ['oil' => $part->said])];
            } elseif ($part->carrier !== null) {
                $plain[] = ['carrier' => $part->carrier, 'parts' => $each->ml()];
            } else {
                $usual = ShelfLife::after($today, $part->months);
                // Its lot's own day, where that is sooner.
                $until = min($usual, FromStores::of($each, $house)?->oldest()['best_before'] ?? $usual);
                $ends[] = [
                    $until,
                    min($until, ShelfLife::after($today, $part->months * (1 - ShelfLife::SPREAD))),
                    Reason::rule('melt-keeps-part', ['part' => $part->said, 'months' => $part->months]),
                ];
            }
        }
        if ($plain !== []) {
            $ends[] = self::ofOils($plain, $pot, $house, $tables, $today);
        }
        if ($wish->product->monthsMost !== null) {
            $until = ShelfLife::after($today, $wish->product->monthsMost);
            $ends[] = [
                $until,
                ShelfLife::after($today, $wish->product->monthsMost * (1 - ShelfLife::SPREAD)),
                Reason::rule('melt-keeps-product', ['product' => $wish->product->name, 'months' => $wish->product->monthsMost]),
            ];
        }
        if ($wish->leaf !== null) {
            $ends[] = [
                ShelfLife::after($today, $wish->leaf->rule->number('months')),
                ShelfLife::after($today, $wish->leaf->rule->number('months_least')),
                Reason::rule('melt-keeps-leaf', ['months' => $wish->leaf->rule->number('months')]),
            ];
        }
        usort($ends, fn (array $a, array $b) => $a[0] <=> $b[0]);
        [$first, $low, $why] = $ends[0];

        return new self($first, min($low, $first), $first, [Reason::rule('melt-keeps'), $why], $coldOnly);
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

    /**
     * @param  non-empty-list<array{carrier: \Kettle\Material\Carrier, parts: float}>  $oils
     * @return array{\DateTimeImmutable, \DateTimeImmutable, Reason}
     *
     * @throws KeepingException
     */
    private static function ofOils(array $oils, Composition $pot, House $house, Tables $tables, \DateTimeImmutable $today): array
    {
        $lots = [];
        foreach ($oils as $oil) {
            $id = $oil['carrier']->id;
            $weighed = new Weighed(
                Part::ofOil($oil['carrier'], $house->kitchen->cupboard()),
                $oil['parts'] * $oil['carrier']->at20->gramsPerMl,
            );
            $lots[$id] = FromStores::of($weighed, $house)?->oldest() ?? ['opened' => null, 'best_before' => null];
        }
        $antioxidant = null;
        foreach (['vitamin-e' => 'vitamin-e', 'rosemary-extract' => 'rosemary'] as $part => $is) {
            foreach ($pot->of(PartKind::Additive) as $each) {
                $antioxidant ??= $each->part->id === $part ? $is : null;
            }
        }
        $keeping = Keeping::of(
            Blend::of($oils),
            State::Dried,
            new StorageFacts($today, $today, lots: $lots, antioxidant: $antioxidant ?? 'none'),
            $tables,
        );
        $weakest = array_map(fn (array $oil) => $oil['carrier'], $oils);
        usort($weakest, fn ($a, $b) => $a->months->opened <=> $b->months->opened);

        return [
            $keeping->bestBefore,
            ShelfLife::after($today, $keeping->months * (1 - ShelfLife::SPREAD)),
            Reason::rule('melt-keeps-oil', ['oil' => $weakest[0]->said(), 'months' => round($keeping->months, 1)]),
        ];
    }
}
