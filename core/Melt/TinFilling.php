<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Vessel\BestFilling;

/** The tins that are filled from a pot, and what is left over, mL. */
final readonly class TinFilling
{
    /** @param  list<array{ml: float, holds: float, count: int}>  $tins largest first */
    private function __construct(public array $tins, public int $wished, public float $pouredMl, public float $leftMl) {}

    /**
     * @param  float  $pouredMl what comes out of pot and jug
     * @param  list<Tin>  $sizes
     * @param  bool  $said whether somebody chose them; then one at least is to be filled
     *
     * @throws MeltException when not one of them is filled
     */
    public static function of(float $pouredMl, array $sizes, bool $said): self
    {
        $counted = array_filter($sizes, fn (Tin $tin) => $tin->count !== null);
        $tins = count($counted) === count($sizes) ? self::asWished($pouredMl, $sizes) : self::best($pouredMl, $sizes);
        $filled = array_sum(array_map(fn (array $tin) => $tin['holds'] * $tin['count'], $tins));
        if ($said && array_sum(array_column($tins, 'count')) === 0) {
            throw MeltException::noTinFits();
        }

        return new self($tins, array_sum(array_map(fn (Tin $tin) => $tin->count ?? 0, $sizes)), $pouredMl, max(0.0, $pouredMl - $filled));
    }

    public function count(): int
    {
        return array_sum(array_column($this->tins, 'count'));
    }

    /**
     * As many as were wished for, the largest first, and fewer where it does not go round.
     *
     * @param  list<Tin>  $sizes
     * @return list<array{ml: float, holds: float, count: int}>
     */
    private static function asWished(float $ml, array $sizes): array
    {
        usort($sizes, fn (Tin $a, Tin $b) => $b->ml <=> $a->ml);
        $tins = [];
        foreach ($sizes as $tin) {
            // A jug is read to about half a per cent.
            $count = min((int) $tin->count, (int) floor(($ml * 1.005) / $tin->holdsMl()));
            $ml -= $count * $tin->holdsMl();
            $tins[] = ['ml' => $tin->ml, 'holds' => $tin->holdsMl(), 'count' => $count];
        }

        return $tins;
    }

    /**
     * Those that leave the least over.
     *
     * @param  list<Tin>  $sizes
     * @return list<array{ml: float, holds: float, count: int}>
     */
    private static function best(float $ml, array $sizes): array
    {
        if ($ml > BestFilling::MOST_ML) {
            throw MeltException::tooMuch();
        }
        $filling = BestFilling::of(
            $ml,
            array_map(
                fn (Tin $tin, int $i) => ['id' => (string) $i, 'capacity' => $tin->holdsMl(), 'stock' => $tin->count, 'fixed' => 0],
                $sizes,
                array_keys($sizes),
            ),
        );

        return array_map(
            fn (array $bottle) => ['ml' => $sizes[(int) $bottle['id']]->ml, 'holds' => $bottle['capacity'], 'count' => $bottle['count']],
            $filling->bottles,
        );
    }
}
