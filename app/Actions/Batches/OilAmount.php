<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\Models\Batch;
use Kettle\Material\Cupboard;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;

/** An amount of a batch's own oil as somebody wrote it: a weight is turned into a volume by that oil's density. */
final readonly class OilAmount
{
    /** More than this is another filling, and no topping up. */
    private const MOST_ADDED_ML = 2_000.0;

    public function __construct(private KitchenFactory $kitchens, private Cupboard $cupboard) {}

    /**
     * Oil that was added at a topping up.
     *
     * @return float mL
     *
     * @throws AmountException laid to the field "amount"
     */
    public function added(Batch $batch, string $typed): float
    {
        $density = $batch->plan->density($this->cupboard);
        $read = fn () => $this->kitchens->plain()->reader()->within($typed, Kind::Volume, 'mL', 0.5, self::MOST_ADDED_ML, $density);

        return round(AmountException::at('amount', $read)->value, 3);
    }

    /**
     * @return float mL
     *
     * @throws AmountException laid to the field "amount"
     */
    public function ml(Batch $batch, string $typed): float
    {
        $read = fn () => $this->kitchens->plain()->reader()->read($typed, Kind::Volume, 'mL', $batch->plan->density($this->cupboard));

        return AmountException::at('amount', $read)->value;
    }
}
