<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Making\Line\Poured;

/** What a product takes of the house: mL of its bottles, by batch, and of its lots, each in the lot's own unit. */
final readonly class Takes
{
    /**
     * @param  array<string, float>  $bottles
     * @param  array<string, float>  $lots
     */
    private function __construct(public array $bottles, public array $lots) {}

    public static function none(): self
    {
        return new self([], []);
    }

    /**
     * @param  array<string, float>  $weighed g by part; what is not weighed yet is taken as it was planned
     * @param  list<PotPart>  $in put in to mend it
     * @param  bool  $closed whether nothing more goes in: then what goes in last was taken only where it was weighed
     */
    public static function of(Pot $planned, array $weighed, array $in, ?Poured $poured, bool $closed): self
    {
        $bottles = $lots = [];
        foreach ($planned->parts as $part) {
            if ($closed && $part->isCool() && ! isset($weighed[$part->id])) {
                continue;
            }
            self::add($bottles, $lots, $part, ($weighed[$part->id] ?? $part->grams) / max(1e-9, $part->grams));
        }
        foreach ($in as $part) {
            self::add($bottles, $lots, $part, 1.0);
        }
        foreach ($poured->taken ?? [] as $tins) {
            $lots[$tins['lot']] = ($lots[$tins['lot']] ?? 0.0) + $tins['count'];
        }

        return new self($bottles, $lots);
    }

    /**
     * @param  array<string, float>  $bottles
     * @param  array<string, float>  $lots
     */
    private static function add(array &$bottles, array &$lots, PotPart $part, float $times): void
    {
        if ($part->batch !== null) {
            $bottles[$part->batch] = ($bottles[$part->batch] ?? 0.0) + $part->ml() * $times;
        }
        foreach ($part->lots as $take) {
            $lots[$take['lot']] = ($lots[$take['lot']] ?? 0.0) + $take['amount'] * $times;
        }
    }
}
