<?php

namespace App\Actions\Houses;

use App\House\KitchenFactory;
use App\Models\AlmanacNote;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\Jar;
use App\Models\LogEntry;
use App\Models\Lot;
use App\Models\LotCheck;
use App\Models\LotMove;
use App\Models\Membership;
use App\Models\OwnThing;
use App\Models\Recipe;
use App\Models\RecipeVersion;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Recipe\Planning;

/** Everything of the house as docs/formats/house.schema.json. */
final readonly class ExportHouse
{
    public const FORMAT = 'warm-kettle-house';

    public function __construct(
        private CurrentHouse $current,
        private ExportStove $stove,
        private ExportMakings $makings,
        private ExportBoils $boils,
        private Planning $planning,
        private KitchenFactory $kitchens,
    ) {}

    /** @return array<string, mixed> */
    public function __invoke(): array
    {
        $house = $this->current->house();

        return [
            'format' => self::FORMAT,
            'version' => 1,
            'exported_at' => Exported::moment(Carbon::now()),
            'house' => [
                ...$house->only(['name', 'time_zone', 'measures', 'wake', 'bed']),
                'drops_per_ml' => (float) $house->drops_per_ml,
                'currency' => $house->currency,
                'hour_rate' => $house->hour_rate === null ? null : (float) $house->hour_rate,
                'room_c' => (float) $house->room_c,
                'burners' => $house->burners,
                'things' => $house->things,
                'latitude' => $house->latitude === null ? null : (float) $house->latitude,
                'longitude' => $house->longitude === null ? null : (float) $house->longitude,
                'height_m' => $house->height_m,
                'facing' => $house->facing,
                'home' => $house->home === null ? null : (object) $house->home,
            ],
            'people' => array_values(
                Membership::query()
                    ->where('house_id', $house->id)
                    ->with('user')
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Membership $m) => ['name' => $m->user->name, 'email' => $m->user->email, 'role' => $m->role->value])
                    ->all(),
            ),
            'jars' => array_values(
                Jar::withTrashed()
                    ->orderBy('id')
                    ->get()
                    ->map(
                        fn (Jar $jar) => [
                            'id' => $jar->uid,
                            'called' => $jar->called,
                            'brim_ml' => (float) $jar->brim_ml,
                            'height_mm' => (float) $jar->height_mm,
                            'kind' => $jar->kind,
                            ...$jar->marks === null ? [] : ['marks' => $jar->marks],
                            'retired' => $jar->trashed(),
                        ],
                    )
                    ->all(),
            ),
            'bottles' => array_values(
                BottleSize::withTrashed()
                    ->orderBy('id')
                    ->get()
                    ->map(
                        fn (BottleSize $size) => [
                            'id' => $size->uid,
                            'called' => $size->called,
                            'capacity_ml' => (float) $size->capacity_ml,
                            'retired' => $size->trashed(),
                        ],
                    )
                    ->all(),
            ),
            'batches' => array_values(
                Batch::query()
                    ->with(['entries' => fn ($query) => $query->orderBy('id')])
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Batch $batch) => $this->batch($batch))
                    ->all(),
            ),
            'lots' => array_values(
                Lot::withTrashed()
                    ->with(['moves' => fn ($query) => $query->orderBy('id'), 'moves.batch', 'moves.making', 'moves.boil', 'checks'])
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Lot $lot) => $this->lot($lot))
                    ->all(),
            ),
            'recipes' => array_values(
                Recipe::withTrashed()
                    ->with(['versions' => fn ($query) => $query->orderBy('number')])
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Recipe $recipe) => $this->recipe($recipe))
                    ->all(),
            ),
            'own' => array_values(OwnThing::query()->orderBy('id')->get()->map(fn (OwnThing $own) => $own->fields)->all()),
            'almanac' => array_values(
                AlmanacNote::query()
                    ->orderBy('id')
                    ->get()
                    ->map(fn (AlmanacNote $note) => ['kind' => $note->kind, 'key' => $note->key, 'note' => $note->note, 'by' => $note->by])
                    ->all(),
            ),
            'makings' => ($this->makings)(),
            'boils' => ($this->boils)(),
            'wanted' => $this->makings->wanted(),
            ...($this->stove)(),
        ];
    }

    /** @return array<string, mixed> */
    private function batch(Batch $batch): array
    {
        return [
            'id' => $batch->uid,
            'code' => $batch->code,
            'name' => $batch->name,
            'herb_name' => $batch->herb_name,
            'oils_name' => $batch->oils_name,
            'origin' => $batch->origin,
            'start_at' => Exported::moment($batch->start_at),
            'repeats' => $batch->repeats,
            'label' => $batch->label,
            'wish' => (object) $batch->wish,
            'plan' => $this->planning->told($batch->plan->document, $this->kitchens->plain()),
            // Sentences as they are kept, for a kettle that takes them in and says them again in its own words.
            'kept' => ['herbs' => (object) $batch->herbs, 'oils' => (object) $batch->oils, 'plan' => (object) $batch->plan->document],
            'log' => array_values($batch->entries->map(fn (LogEntry $entry) => Exported::line($entry, $this->kitchens->words()))->all()),
        ];
    }

    /** @return array<string, mixed> */
    private function lot(Lot $lot): array
    {
        $number = fn (?string $value) => $value === null ? null : (float) $value;

        return [
            'id' => $lot->uid,
            'kind' => $lot->kind->value,
            'material' => $lot->material,
            'called' => $lot->called,
            'part' => $lot->part,
            'form' => $lot->form,
            'state' => $lot->state?->value,
            'got' => (float) $lot->got,
            'typed' => $lot->typed,
            'low_at' => $number($lot->low_at),
            'price' => $number($lot->price),
            'got_how' => $lot->got_how,
            'got_where' => $lot->got_where,
            'got_on' => $lot->got_on?->format('Y-m-d'),
            'opened_on' => $lot->opened_on?->format('Y-m-d'),
            'best_before' => $lot->best_before?->format('Y-m-d'),
            'food_grade' => $lot->food_grade,
            'allergens' => $lot->allergens,
            'note' => $lot->note,
            'retired' => $lot->trashed(),
            'moves' => array_values(
                $lot->moves
                    ->map(
                        fn (LotMove $move) => [
                            'id' => $move->uid,
                            'kind' => $move->kind,
                            'amount' => (float) $move->amount,
                            'batch' => $move->batch?->uid,
                            'making' => $move->making?->uid,
                            'boil' => $move->boil?->uid,
                            'by' => $move->by,
                            'note' => $move->note,
                            'happened_at' => Exported::moment($move->happened_at),
                        ],
                    )
                    ->all(),
            ),
            'checks' => array_values(
                $lot->checks
                    ->map(
                        fn (LotCheck $check) => [
                            'id' => $check->uid,
                            'verdict' => $check->verdict,
                            'says' => $this->kitchens->words()->of($check->says),
                            'kept' => $check->says?->toArray(),
                            'answers' => (object) $check->answers,
                            'by' => $check->by,
                            'happened_at' => Exported::moment($check->happened_at),
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function recipe(Recipe $recipe): array
    {
        return [
            'id' => $recipe->uid,
            'retired' => $recipe->trashed(),
            'versions' => array_values(
                $recipe->versions
                    ->map(
                        fn (RecipeVersion $version) => [
                            'number' => $version->number,
                            'name' => $version->name,
                            'says' => $this->kitchens->words()->of($version->says),
                            'kept' => $version->says?->toArray(),
                            'note' => $version->note,
                            'wish' => (object) $version->wish,
                            'by' => $version->by,
                            'made_at' => Exported::moment($version->made_at),
                        ],
                    )
                    ->all(),
            ),
        ];
    }
}
