<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Wording;

/**
 * From whatever side it was said to what is weighed. With F g of parts by amount, S the sum of those by share, W g of the wax
 * and R g of what there is as much of as is left (the oil, in a cream the water), T the whole:
 *
 *     W + R = (1 - S) T - F
 *     W hw + R hr = (X - Sh) T - Fh      where a firmness X is wanted
 *
 * and one more that says how much: T, its volume, R, or W. All are linear, so W = a T + b and R = c T + d.
 */
final readonly class Solving
{
    public const MOST_G = 20_000.0;

    /** Less than this part of the whole is nothing. */
    private const NOTHING = 1e-6;

    private Sides $sides;

    private float $a;

    private float $b;

    private float $c;

    private float $d;

    private function __construct(private ProductWish $wish)
    {
        $sides = $this->sides = Sides::in($wish);
        $a = $b = 0.0;
        if ($sides->wax !== []) {
            $by = $sides->waxHardness - $sides->restHardness;
            if ($by < 1e-6) {
                throw MeltException::notSoFirm(Wording::number($sides->waxHardness));
            }
            $a = ((float) $wish->firmness - $sides->hardShare - $sides->restHardness * (1 - $sides->share)) / $by;
            $b = -($sides->hardAmount - $sides->restHardness * $sides->amount) / $by;
        }
        [$this->a, $this->b] = [$a, $b];
        [$this->c, $this->d] = [1 - $sides->share - $a, -$sides->amount - $b];
    }

    /**
     * @param  float  $lossShare of what is poured, that stays in pot and jug
     *
     * @throws MeltException when it cannot be made so
     */
    public static function of(ProductWish $wish, float $lossShare): Composition
    {
        return (new self($wish))->solved($lossShare);
    }

    private function solved(float $lossShare): Composition
    {
        $total = $this->total($lossShare);
        [$waxG, $restG] = [$this->a * $total + $this->b, $this->c * $total + $this->d];
        if ($total > self::MOST_G && is_finite($total)) {
            throw MeltException::tooMuch();
        }
        if (! is_finite($total) || $total <= 0) {
            throw $this->over();
        }
        $least = self::NOTHING * $total;
        if ($this->sides->wax !== [] && ($waxG < -$least || $restG <= $least)) {
            throw $this->notSo($total, $waxG);
        }
        if ($restG < -$least || ($this->sides->rest !== [] && $restG <= $least)) {
            throw $this->over();
        }

        return self::once($this->wish, $this->sides->weighed($total, max(0.0, $waxG), $restG));
    }

    /** The whole, g: from whichever side says how much. */
    private function total(float $lossShare): float
    {
        $wish = $this->wish;
        if ($wish->totalG !== null) {
            return $wish->totalG;
        }
        if ($wish->totalMl === null) {
            $oilG = Sides::sum($wish->oils, fn (Going $g) => $g->gramsOf());
            if ($oilG > 0 && $wish->product->rest === 'oil') {
                return self::divide($oilG - $this->d, $this->c);
            }
            if ($wish->waxesByAmount() && $wish->firmness !== null) {
                return $this->ofWax();
            }
            if ($oilG > 0 && ! in_array('tins', $wish->chosen, true)) {
                return ($oilG * 2) / array_sum($wish->product->shares['oil']);
            }
        }
        // What stays in a leaf that is sieved out is made too.
        $ml = $wish->totalMl ?? $this->tinsMl() / (1 - $lossShare) + ($wish->leaf->heldMl ?? 0.0);
        $sides = $this->sides;

        return self::divide(
            $ml - $this->b * $sides->waxMl - $this->d * $sides->restMl - $sides->mlAmount,
            $this->a * $sides->waxMl + $this->c * $sides->restMl + $sides->mlShare,
        );
    }

    /** From the wax at hand: it goes by amount, and the whole is what its firmness makes of it. */
    private function ofWax(): float
    {
        $sides = $this->sides;

        return self::divide(
            $sides->hardAmount - $sides->restHardness * $sides->amount,
            (float) $this->wish->firmness - $sides->hardShare - $sides->restHardness * (1 - $sides->share),
        );
    }

    private function tinsMl(): float
    {
        $product = $this->wish->product;
        $ml = array_sum(array_map(fn (Tin $tin) => $tin->holdsMl() * ($tin->count ?? $product->usualCount), $this->wish->tins));

        return $ml / ($product->whipped[1] ?? 1.0);
    }

    /** Why the wax would have to be less than nothing, or leave no oil; with what it can be made to. */
    private function notSo(float $total, float $waxG): MeltException
    {
        $sides = $this->sides;
        $room = 1 - $sides->share - $sides->amount / $total;
        if ($room <= 0) {
            return $this->over();
        }
        $others = $sides->hardShare + $sides->hardAmount / $total;

        return $waxG < 0
            ? MeltException::tooFirm(Wording::number(round($others + $room * $sides->restHardness, 3)))
            : MeltException::notSoFirm(Wording::number(round($others + $room * $sides->waxHardness, 3)));
    }

    /** That of the groups which takes the most, and is not what is left over to, is too much. */
    private function over(): MeltException
    {
        $groups = [
            'waxes' => ['wax', $this->wish->waxes],
            'butters' => ['butter', $this->wish->butters],
            'others' => ['of what else goes in', $this->wish->others],
            'essential_oils' => ['scent', $this->wish->scents],
        ];
        $most = ['oil', 'oils', 0.0];
        foreach ($groups as $field => [$what, $group]) {
            $weight = Sides::sum($group, fn (Going $g) => $g->gramsOf() + Solving::MOST_G * $g->shareOf());
            if ($weight > $most[2]) {
                $most = [$what, $field, $weight];
            }
        }

        return MeltException::moreThanWhole($most[0], $most[1]);
    }

    /**
     * In the order they were wished for, each part once.
     *
     * @param  list<Weighed>  $weighed
     */
    private static function once(ProductWish $wish, array $weighed): Composition
    {
        $key = fn (Part $part): string => $part->kind->value.'.'.$part->key();
        $of = [];
        foreach ($weighed as $each) {
            $of[$key($each->part)] = $each;
        }
        $ordered = [];
        foreach ($wish->all() as $going) {
            $ordered[$key($going->part)] = $of[$key($going->part)] ?? new Weighed($going->part, 0.0);
        }

        return new Composition(array_values(array_filter($ordered, fn (Weighed $each) => $each->grams > 0)));
    }

    private static function divide(float $a, float $b): float
    {
        return abs($b) < 1e-12 ? INF : $a / $b;
    }
}
