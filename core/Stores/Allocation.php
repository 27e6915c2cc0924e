<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Time\Day;

/** So much taken from lots: the one named first, then the oldest that may be used; and what is short. */
final readonly class Allocation
{
    /** Less than this, in g or mL, is not worth another lot. */
    private const CRUMB = 0.05;

    /** @param  list<array{lot: Lot, amount: float}>  $takes */
    private function __construct(public array $takes, public float $need, public float $short, public bool $any) {}

    /**
     * @param  list<Lot>  $lots of the one material, in any order
     * @param  float  $need g or mL
     * @param  string  $first id of the lot to take from first; empty for none
     */
    public static function of(array $lots, float $need, \DateTimeImmutable $today, string $first = ''): self
    {
        $usable = array_values(array_filter($lots, fn (Lot $lot) => Condition::usable($lot, $today)));
        usort($usable, fn (Lot $a, Lot $b) => self::rank($a, $first) <=> self::rank($b, $first));
        $takes = [];
        $left = $need;
        foreach ($usable as $lot) {
            if ($left <= self::CRUMB) {
                break;
            }
            $amount = min($left, $lot->stock->left);
            $takes[] = ['lot' => $lot, 'amount' => $amount];
            $left -= $amount;
        }

        return new self($takes, $need, $left > self::CRUMB ? $left : 0.0, $lots !== []);
    }

    /** @return array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable} of the oldest lot that is taken from */
    public function oldest(): array
    {
        $opened = $bestBefore = null;
        foreach ($this->takes as $take) {
            $opened = Day::earliest($opened, $take['lot']->dates->openedOn);
            $bestBefore = Day::earliest($bestBefore, $take['lot']->dates->bestBefore);
        }

        return ['opened' => $opened, 'best_before' => $bestBefore];
    }

    /** @return array{cost: float, whole: bool} in the house's currency, and whether every lot taken has a price */
    public function cost(): array
    {
        $cost = 0.0;
        $whole = $this->short <= 0;
        foreach ($this->takes as $take) {
            $price = $take['lot']->stock->unitPrice();
            $price === null ? ($whole = false) : ($cost += $price * $take['amount']);
        }

        return ['cost' => $cost, 'whole' => $whole];
    }

    /** @return array{int, string, string, string} */
    private static function rank(Lot $lot, string $first): array
    {
        return [
            $lot->id === $first && $first !== '' ? 0 : 1,
            $lot->dates->bestBefore?->format('Y-m-d') ?? '9999-12-31',
            $lot->dates->gotOn?->format('Y-m-d') ?? '9999-12-31',
            $lot->id,
        ];
    }
}
