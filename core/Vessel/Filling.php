<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/** So many bottles of so many sizes filled from one oil; volumes in mL. */
final readonly class Filling
{
    /** Bottles of one batch. */
    public const MOST = 500;

    /** @param  list<array{id: string, capacity: float, count: int}>  $bottles counts above zero */
    private function __construct(public array $bottles, public float $filledMl, public float $leftMl) {}

    /**
     * @param  list<array{id: string, capacity: float, count: int}>  $bottles
     *
     * @throws FillingException when there are none, too many, or more than the oil there is
     */
    public static function of(float $oilMl, array $bottles): self
    {
        $filled = 0.0;
        $total = 0;
        foreach ($bottles as $bottle) {
            if ($bottle['count'] < 0 || $bottle['count'] > self::MOST) {
                throw FillingException::count($bottle['count']);
            }
            $filled += $bottle['capacity'] * $bottle['count'];
            $total += $bottle['count'];
        }
        if ($total === 0) {
            throw FillingException::none();
        }
        if ($total > self::MOST) {
            throw FillingException::count($total);
        }
        // A jug is read to about half a per cent.
        if ($filled > $oilMl * 1.005) {
            throw FillingException::moreThanThereIs(AmountWriter::plain($filled, Kind::Volume), AmountWriter::plain($oilMl, Kind::Volume));
        }

        return new self(array_values(array_filter($bottles, fn (array $b) => $b['count'] > 0)), $filled, max(0.0, $oilMl - $filled));
    }

    /** @param  list<array{id: string, capacity: float, count: int}>  $bottles that are known to fit */
    public static function asFilled(float $oilMl, array $bottles): self
    {
        $bottles = array_values(array_filter($bottles, fn (array $bottle) => $bottle['count'] > 0));
        $filled = array_sum(array_map(fn (array $bottle) => $bottle['capacity'] * $bottle['count'], $bottles));

        return new self($bottles, $filled, max(0.0, $oilMl - $filled));
    }

    public function count(): int
    {
        return array_sum(array_column($this->bottles, 'count'));
    }
}
