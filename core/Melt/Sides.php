<?php

declare(strict_types=1);

namespace Kettle\Melt;

/**
 * The parts of a wish by how each is said: the wax that firmness asks for, what there is as much of as is left, what goes by
 * share of the whole, and what by amount; with the sums the Melt solves by.
 */
final readonly class Sides
{
    /** Of those by share, the shares, and what they count of beeswax. */
    public float $share;

    public float $hardShare;

    /** mL of those by share, to each g of the whole. */
    public float $mlShare;

    /** g of those by amount, what they count of beeswax, g, and mL. */
    public float $amount;

    public float $hardAmount;

    public float $mlAmount;

    /** What a part of the wax, and of what is left over to, counts of beeswax. */
    public float $waxHardness;

    public float $restHardness;

    /** mL to each g of them. */
    public float $waxMl;

    public float $restMl;

    /**
     * @param  list<array{Part, float}>  $wax shares by weight that sum to 1; none where no firmness asks for it
     * @param  list<array{Part, float}>  $rest likewise
     * @param  list<Going>  $shared
     * @param  list<Going>  $fixed
     */
    private function __construct(public array $wax, public array $rest, public array $shared, public array $fixed)
    {
        $this->share = self::sum($shared, fn (Going $g) => $g->shareOf());
        $this->hardShare = self::sum($shared, fn (Going $g) => $g->shareOf() * $g->part->hardness);
        $this->mlShare = self::sum($shared, fn (Going $g) => $g->shareOf() / $g->part->gramsPerMl);
        $this->amount = self::sum($fixed, fn (Going $g) => $g->gramsOf());
        $this->hardAmount = self::sum($fixed, fn (Going $g) => $g->gramsOf() * $g->part->hardness);
        $this->mlAmount = self::sum($fixed, fn (Going $g) => $g->gramsOf() / $g->part->gramsPerMl);
        [$this->waxHardness, $this->waxMl] = self::of($wax);
        [$this->restHardness, $this->restMl] = self::of($rest);
    }

    public static function in(ProductWish $wish): self
    {
        $solved = $wish->firmness !== null && $wish->waxes !== [] && ! $wish->waxesByAmount();
        $loose = [...$wish->butters, ...$wish->others, ...$wish->scents, ...$solved ? [] : $wish->waxes];
        if ($wish->product->rest === 'oil') {
            $rest = $wish->oilsByAmount() ? self::parts($wish->oils, fn (Going $g) => $g->gramsOf()) : self::byVolume($wish->oils);
        } else {
            // Water there is as much of as is left: the oils have a share of their own, or an amount.
            $isRest = fn (Going $each): bool => $each->part->kind === PartKind::Water && $each->grams === null && $each->share === null;
            $rest = self::parts(array_values(array_filter($loose, $isRest)), fn (Going $g) => $g->parts);
            [$least, $most] = $wish->product->shares['oil'];
            $oils = $wish->oilsByAmount()
                ? $wish->oils
                : array_map(fn (array $oil) => Going::share($oil[0], ($oil[1] * ($least + $most)) / 2), self::byVolume($wish->oils));
            $loose = [...array_filter($loose, fn (Going $each) => ! $isRest($each)), ...$oils];
        }

        return new self(
            $solved ? self::parts($wish->waxes, fn (Going $g) => $g->parts) : [],
            $rest,
            array_values(array_filter($loose, fn (Going $each) => $each->grams === null)),
            array_values(array_filter($loose, fn (Going $each) => $each->grams !== null)),
        );
    }

    /**
     * What each is in a whole of so many g.
     *
     * @return list<Weighed>
     */
    public function weighed(float $totalG, float $waxG, float $restG): array
    {
        return [
            ...array_map(fn (Going $going) => new Weighed($going->part, $going->grams ?? $going->shareOf() * $totalG), [
                ...$this->fixed,
                ...$this->shared,
            ]),
            ...array_map(fn (array $each) => new Weighed($each[0], $restG * $each[1]), $this->rest),
            ...array_map(fn (array $each) => new Weighed($each[0], $waxG * $each[1]), $this->wax),
        ];
    }

    /**
     * @param  array<Going>  $group
     * @param  \Closure(Going): float  $of
     */
    public static function sum(array $group, \Closure $of): float
    {
        return array_sum(array_map($of, $group));
    }

    /**
     * @param  list<array{Part, float}>  $group
     * @return array{float, float} what a part of it counts of beeswax, and its mL to each g
     */
    private static function of(array $group): array
    {
        return [
            array_sum(array_map(fn (array $each) => $each[1] * $each[0]->hardness, $group)),
            array_sum(array_map(fn (array $each) => $each[1] / $each[0]->gramsPerMl, $group)),
        ];
    }

    /**
     * @param  list<Going>  $oils in parts by volume
     * @return list<array{Part, float}> shares by weight
     */
    private static function byVolume(array $oils): array
    {
        return self::parts($oils, fn (Going $g) => $g->parts * $g->part->gramsPerMl);
    }

    /**
     * @param  list<Going>  $group
     * @param  \Closure(Going): float  $weight
     * @return list<array{Part, float}> shares by weight that sum to 1
     */
    private static function parts(array $group, \Closure $weight): array
    {
        $total = self::sum($group, $weight);

        return array_map(fn (Going $g) => [$g->part, $weight($g) / $total], $group);
    }
}
