<?php

namespace App\Actions\Houses;

use App\House\KitchenFactory;
use App\Models\Boil;
use App\Models\BoilEntry;

/** Pots that are boiled down, as docs/formats/house.schema.json. */
final readonly class ExportBoils
{
    public function __construct(private KitchenFactory $kitchens) {}

    /** @return iterable<array<string, mixed>> */
    public function __invoke(): iterable
    {
        $words = $this->kitchens->words();

        return Boil::query()
            ->with(['entries' => fn ($query) => $query->orderBy('id')])
            ->lazyById(Exported::AT_ONCE)
            ->map(
                fn (Boil $boil) => [
                    'id' => $boil->uid,
                    'code' => $boil->code,
                    'kind' => $boil->kind,
                    'name' => $boil->name,
                    'begun_at' => Exported::moment($boil->begun_at),
                    'wish' => (object) $boil->wish,
                    'plan' => (object) $boil->plan->document,
                    'label' => $boil->label,
                    'log' => array_values($boil->entries->map(fn (BoilEntry $entry) => Exported::line($entry, $words))->all()),
                ],
            );
    }
}
