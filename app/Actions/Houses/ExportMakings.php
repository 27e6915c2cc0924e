<?php

namespace App\Actions\Houses;

use App\Actions\Melt\MakingDocument;
use App\House\KitchenFactory;
use App\Models\Making;
use App\Models\MakingEntry;
use App\Models\Wanted;

/** Products with their plans and logbooks, as docs/formats/house.schema.json. */
final readonly class ExportMakings
{
    public function __construct(private MakingDocument $documents, private KitchenFactory $kitchens) {}

    /** @return iterable<array<string, mixed>> */
    public function __invoke(): iterable
    {
        $words = $this->kitchens->words();

        return Making::query()
            ->with(['entries' => fn ($query) => $query->orderBy('id')])
            ->lazyById(Exported::AT_ONCE)
            ->map(
                fn (Making $making) => [
                    'id' => $making->uid,
                    'code' => $making->code,
                    'product' => $making->product,
                    'name' => $making->name,
                    'begun_at' => Exported::moment($making->begun_at),
                    'label' => $making->label,
                    'wish' => (object) $making->wish,
                    'plan' => $this->documents->told($making->plan->document),
                    // Sentences as they are kept, for a kettle that takes them in and says them again in its own words.
                    'kept' => ['plan' => (object) $making->plan->document, 'plants' => $making->plants],
                    'log' => array_values($making->entries->map(fn (MakingEntry $entry) => Exported::line($entry, $words))->all()),
                ],
            );
    }

    /** @return iterable<array<string, mixed>> what is wanted by a day, or was */
    public function wanted(): iterable
    {
        $begun = Making::query()->pluck('uid', 'id');

        return Wanted::query()->lazyById(Exported::AT_ONCE)->map(
            fn (Wanted $wanted) => [
                'id' => $wanted->uid,
                'wish' => (object) $wanted->wish,
                'ready_by' => $wanted->ready_by->format('Y-m-d'),
                'making' => $wanted->making_id === null ? null : $begun->get($wanted->making_id),
                'closed_at' => $wanted->closed_at === null ? null : Exported::moment($wanted->closed_at),
            ],
        );
    }
}
