<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Tables;

/** A house's own batches of one form and way, in the order they were strained: how the figure narrowed, and which were odd. */
final readonly class YieldHistory
{
    /** Most observations that are drawn, and listed as odd. */
    public const SHOWN = 60;

    public function __construct(private Tables $tables) {}

    /**
     * @param  string  $way drained, squeezed or pressed
     * @param  list<array{id: string, oil_ml: float, out_ml: float, dry_g: float}>  $batches oldest first
     * @param  ?UptakeSeen  $before what was seen before the first of them
     * @return array{prior: array{mean: float, sd: float}, now: array{mean: float, sd: float, next_sd: float, low: float, high: float},
     *     batches: int, steps: list<array{id: string, uptake: float, mean: float, low: float, high: float, odd: bool,
     *     z: float}>, odd: list<string>}
     *
     * @throws YieldException when one of them cannot be
     */
    public function of(string $way, array $batches, ?UptakeSeen $before = null): array
    {
        $prior = Uptake::by($way, $this->tables);
        $spread = UptakeSpread::of($this->tables);
        $observed = [];
        $before ??= UptakeSeen::none();
        [$weight, $weighted] = [$before->weight, $before->weighted];
        foreach ($batches as $batch) {
            $uptake = self::uptake($batch['oil_ml'], $batch['out_ml'], $batch['dry_g'], $prior->lossesMl);
            $variance = $spread->variance($batch['oil_ml'], $batch['dry_g']);
            $observed[] = [$batch['id'], $uptake, $variance];
            $weight += 1 / $variance;
            $weighted += $uptake / $variance;
        }
        $all = UptakeSeen::sums($before->batches + count($batches), $weight, $weighted);
        $seen = $before;
        $steps = $odd = [];
        $from = count($observed) - self::SHOWN;
        // Of all of them, so that an odd one neither hides itself nor accuses another.
        $usual = $spread->middle(array_column($observed, 1), $prior->mlPerGram);
        foreach ($observed as $i => [$id, $uptake, $variance]) {
            $distance = $spread->apart($uptake, $variance, $usual);
            $seen = $seen->with($uptake, $variance);
            if ($isOdd = $spread->isOdd($distance)) {
                $odd[] = $id;
            }
            if ($i >= $from) {
                $after = $seen->posterior($prior->mlPerGram, $spread);
                $steps[] = [
                    'id' => $id,
                    'uptake' => round($uptake, 3),
                    'mean' => $after['mean'],
                    ...Uptake::around($after['mean'], $after['next_sd']),
                    'odd' => $isOdd,
                    'z' => round($distance, 2),
                ];
            }
        }
        $now = $all->posterior($prior->mlPerGram, $spread);

        return [
            'prior' => ['mean' => $prior->mlPerGram, 'sd' => $prior->sd],
            'now' => $now + Uptake::around($now['mean'], $now['next_sd']),
            'batches' => $all->batches,
            'steps' => $steps,
            'odd' => array_slice($odd, -self::SHOWN),
        ];
    }

    /**
     * mL left in each gram: what went in less what came out and the small losses, over the herb.
     *
     * @throws YieldException
     */
    public static function uptake(float $oilMl, float $outMl, float $dryG, float $lossesMl): float
    {
        if (! is_finite($oilMl + $outMl + $dryG) || $oilMl <= 0 || $oilMl > 100_000 || $dryG <= 0.01 || $dryG > 100_000 || $outMl < 0) {
            throw new YieldException('out_of_range', 'Oil poured, herb and oil got out are each above nought, and of a kitchen’s size.');
        }
        if ($outMl > $oilMl * 1.02) {
            throw YieldException::moreThanWentIn(round($outMl).' mL', round($oilMl).' mL');
        }

        return max(0.0, $oilMl - $outMl - $lossesMl) / $dryG;
    }
}
