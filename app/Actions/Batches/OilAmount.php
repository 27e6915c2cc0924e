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
    public function __construct(private KitchenFactory $kitchens, private Cupboard $cupboard) {}

    /**
     * @return float mL
     *
     * @throws AmountException laid to the field "amount"
     */
    public function ml(Batch $batch, string $typed): float
    {
        try {
            return $this->kitchens->plain()->reader()->read($typed, Kind::Volume, 'mL', $batch->plan->density($this->cupboard))->value;
        } catch (AmountException $refused) {
            throw $refused->about('amount');
        }
    }
}
