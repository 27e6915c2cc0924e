<?php

namespace App\Actions\Melt;

use App\Actions\Batches\GatherEvidence;
use App\House\KitchenFactory;
use App\Models\Making;
use Kettle\Making\MakingEvidence;

/** What the records of a product, and of the oils it was made of, say for and against faults. */
final readonly class ProductEvidence
{
    /** Of an oil, what goes on telling in what was made of it. */
    private const OF_OILS = ['oil-aged' => 1, 'old-lot' => 1, 'over-ceiling' => 1, 'poly-oil' => 1, 'herb-aged' => 1];

    public function __construct(private MakingRecords $records, private GatherEvidence $batches, private KitchenFactory $kitchens) {}

    /** @return array<string, array<string, string>> by fact, the words it is said with */
    public function of(Making $making): array
    {
        $facts = MakingEvidence::of(
            $this->records->state($making),
            $making->goodUntil() < $this->kitchens->now()->format('Y-m-d'),
            $this->kitchens->words(),
        );
        foreach ($making->batches()->get() as $batch) {
            $facts += array_intersect_key($this->batches->of($batch), self::OF_OILS);
        }

        return $facts;
    }
}
