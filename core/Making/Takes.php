<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Making\Line\Poured;

/** What a product takes of the house: mL of its bottles, by batch; of its pots and its lots, each in its own unit. */
final readonly class Takes
{
    /**
     * @param  array<string, float>  $bottles
     * @param  array<string, float>  $lots
     * @param  array<string, float>  $boils
     */
    private function __construct(public array $bottles, public array $lots, public array $boils) {}

    public static function none(): self
    {
        return new self([], [], []);
    }

    /**
     * @param  array<string, float>  $weighed g by part; what is not weighed yet is taken as it was planned
     * @param  list<PotPart>  $in put in to mend it
     * @param  bool  $closed whether nothing more goes in: then what goes in last was taken only where it was weighed
     */
    public static function of(Pot $planned, array $weighed, array $in, ?Poured $poured, bool $closed): self
    {
        $taken = ['bottles' => [], 'lots' => [], 'boils' => []];
        foreach ($planned->parts as $part) {
            if ($closed && $part->isCool() && ! isset($weighed[$part->id])) {
                continue;
            }
            self::add($taken, $part, ($weighed[$part->id] ?? $part->grams) / max(1e-9, $part->grams));
        }
        foreach ($in as $part) {
            self::add($taken, $part, 1.0);
        }
        foreach ($poured->taken ?? [] as $tins) {
            $taken['lots'][$tins['lot']] = ($taken['lots'][$tins['lot']] ?? 0.0) + $tins['count'];
        }

        return new self(...$taken);
    }

    /** @param  array{bottles: array<string, float>, lots: array<string, float>, boils: array<string, float>}  $taken */
    private static function add(array &$taken, PotPart $part, float $times): void
    {
        if ($part->batch !== null) {
            $taken['bottles'][$part->batch] = ($taken['bottles'][$part->batch] ?? 0.0) + $part->ml() * $times;
        }
        if ($part->boil !== null) {
            $taken['boils'][$part->boil['id']] = ($taken['boils'][$part->boil['id']] ?? 0.0) + $part->boil['amount'] * $times;
        }
        foreach ($part->lots as $take) {
            $taken['lots'][$take['lot']] = ($taken['lots'][$take['lot']] ?? 0.0) + $take['amount'] * $times;
        }
    }
}
