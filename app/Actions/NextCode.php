<?php

namespace App\Actions;

use App\House\KitchenFactory;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;

/** The codes of batches, products and pots: the year, and the house's own count of each. */
final readonly class NextCode
{
    private const COUNTS = ['begun', 'made', 'boiled'];

    public function __construct(private CurrentHouse $current, private KitchenFactory $kitchens) {}

    /**
     * "26-014" of what was begun, "P26-003" of what was made. The count is locked until the transaction ends.
     *
     * @param  'begun'|'made'|'boiled'  $count of batch_counters
     */
    public function of(string $count, string $letter = ''): string
    {
        $house = $this->current->house()->id;
        DB::table('batch_counters')->upsert(
            [['house_id' => $house, ...array_fill_keys(self::COUNTS, 0), $count => 1]],
            ['house_id'],
            [$count => DB::raw("{$count} + 1")],
        );
        /** @var int $number */
        $number = DB::table('batch_counters')->where('house_id', $house)->value($count);

        return sprintf('%s%s-%03d', $letter, $this->kitchens->now()->format('y'), $number);
    }
}
