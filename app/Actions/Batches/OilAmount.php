<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\Models\Batch;
use Kettle\Material\Cupboard;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\FillingException;

/** An amount of a batch's own oil as somebody wrote it: a weight is turned into a volume by that oil's density. */
final readonly class OilAmount
{
    /** More than this is another filling, and no topping up. */
    private const MOST_ADDED_ML = 2_000.0;

    /** No spoon tells them apart. */
    private const EQUAL_ML = 1.0;

    public function __construct(private KitchenFactory $kitchens, private Cupboard $cupboard) {}

    /**
     * Oil that was added at a topping up.
     *
     * @param  string  $into what it was added to, as it is called
     * @param  float  $holdsMl to the brim; 0 where a plan of before does not say
     * @param  float  $inMl of oil that count as in it
     * @return float mL
     *
     * @throws RefusedException laid to the field "amount"
     */
    public function added(Batch $batch, string $typed, string $into, float $holdsMl, float $inMl): float
    {
        $density = $batch->plan->density($this->cupboard);
        $read = fn () => $this->kitchens->plain()->measured()->within($typed, Kind::Volume, 'mL', 0.5, self::MOST_ADDED_ML, $density);
        $ml = round(AmountException::at('amount', $read)->value, 3);

        return $holdsMl <= 0.0 || $inMl + $ml <= $holdsMl + self::EQUAL_ML
            ? $ml
            : throw FillingException::noRoom($typed, $into, $holdsMl, $inMl);
    }

    /**
     * @return float mL
     *
     * @throws AmountException laid to the field "amount"
     */
    public function ml(Batch $batch, string $typed): float
    {
        $read = fn () => $this->kitchens->plain()->measured()->read($typed, Kind::Volume, 'mL', $batch->plan->density($this->cupboard));

        return AmountException::at('amount', $read)->value;
    }
}
