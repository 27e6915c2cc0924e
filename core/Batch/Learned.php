<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Batch\Line\Strained;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\UptakeSpread;
use Kettle\Infusion\YieldException;
use Kettle\Infusion\YieldHistory;
use Kettle\Material\Tables;

/** What a house learns from one batch: the oil that stayed in each gram of its herb. */
final readonly class Learned
{
    /** Of less herb than this nothing can be learned, g. */
    private const LEAST_G = 0.1;

    /**
     * @param  string  $form what it is learned of, FrozenPlan::uptakeKey
     * @param  string  $way of Uptake::WAYS
     * @param  float  $uptake mL/g, and its variance, (mL/g)^2
     */
    private function __construct(
        public string $form,
        public string $way,
        public float $oilMl,
        public float $outMl,
        public float $dryG,
        public float $uptake,
        public float $variance,
    ) {}

    /** Null where nothing is: nothing came out yet, it was made of unlike forms, or of figures that cannot be. */
    public static function from(FrozenPlan $plan, ?Strained $strained, Tables $tables, float $toppedUpMl = 0.0): ?self
    {
        $form = $plan->uptakeKey();
        $dry = $plan->dryG();
        // What is never strained shows nothing of what its herb kept.
        if (
            $plan->isFromBefore() ||
            $plan->isGuessed() ||
            ! $plan->isStrained() ||
            $strained === null ||
            $strained->ml === null ||
            $form === null ||
            $dry < self::LEAST_G
        ) {
            return null;
        }
        $oil = $plan->figure('oil_volume') + $toppedUpMl;
        $way = in_array($strained->way, Uptake::WAYS, true) ? $strained->way : $plan->way;
        try {
            $lossesMl = $plan->through(Uptake::by($way, $tables), $tables)->lossesMl;
            $uptake = YieldHistory::uptake($oil, $strained->ml, $dry, $lossesMl);
        } catch (YieldException) {
            return null;
        }

        return new self($form, $way, $oil, $strained->ml, $dry, $uptake, UptakeSpread::of($tables)->variance($oil, $dry));
    }
}
