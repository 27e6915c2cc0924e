<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What a fat is made of: per cent of each acid, by "carbons:double bonds". */
final readonly class FattyAcids
{
    /**
     * What each adds to the iodine value, AOCS Cd 1c-85; that of ricinoleic acid from memory. The acids of fish have
     * none there: theirs are by the definition, 253.81 g of iodine for each double bond of a third of the fat's mole.
     */
    private const IODINE = [
        '18:1' => 0.86,
        '18:2' => 1.732,
        '18:3' => 2.616,
        '16:1' => 0.95,
        '20:1' => 0.785,
        '22:1' => 0.723,
        '18:1-OH' => 0.81,
        '20:5' => 4.027,
        '22:5' => 3.698,
        '22:6' => 4.463,
    ];

    /**
     * How fast each takes up oxygen, oleic acid being 1: Fatemi and Hammond 1980. Those of fish in proportion to the
     * places between two double bonds, linoleic acid having one: Cosgrove, Church and Pryor 1987, from memory.
     */
    private const OXYGEN = ['18:1' => 1.0, '18:2' => 10.3, '18:3' => 21.6, '20:5' => 41.2, '22:5' => 41.2, '22:6' => 51.5];

    /** @param  array<string, float>  $percents */
    public function __construct(public array $percents) {}

    /** Grams of iodine that a hundred grams take up. */
    public function iodineValue(): float
    {
        return $this->weighed(self::IODINE);
    }

    /** How fast it takes up oxygen, pure oleic acid being 1. */
    public function oxidisability(): float
    {
        return $this->weighed(self::OXYGEN) / 100;
    }

    /** @return array{saturated: float, mono: float, di: float, tri: float, other: float} per cent; three bonds and more are `tri` */
    public function picture(): array
    {
        $sums = ['0' => 0.0, '1' => 0.0, '2' => 0.0, '3' => 0.0];
        foreach ($this->percents as $acid => $percent) {
            $sums[(string) min(3, (int) explode(':', $acid)[1])] += $percent;
        }

        return [
            'saturated' => $sums['0'],
            'mono' => $sums['1'],
            'di' => $sums['2'],
            'tri' => $sums['3'],
            'other' => max(0.0, round(100 - array_sum($sums), 6)),
        ];
    }

    /** @param  array<string, float>  $factors */
    private function weighed(array $factors): float
    {
        $sum = 0.0;
        foreach ($factors as $acid => $factor) {
            $sum += $factor * ($this->percents[$acid] ?? 0.0);
        }

        return $sum;
    }
}
