<?php

namespace App\Actions\Houses;

use App\House\KitchenFactory;
use App\Models\AlmanacNote;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\BottleSize;
use App\Models\Jar;
use App\Models\LogEntry;
use App\Models\Lot;
use App\Models\LotCheck;
use App\Models\LotMove;
use App\Models\Making;
use App\Models\Membership;
use App\Models\OwnThing;
use App\Models\Photo;
use App\Models\Recipe;
use App\Models\RecipeVersion;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Recipe\Planning;

/** Everything of the house as docs/formats/house.schema.json. */
final readonly class ExportHouse
{
    public const FORMAT = 'warm-kettle-house';

    /** No more goes into one JSON document, which is made in memory; a zip takes any. */
    private const ROWS = 300;

    private const PICTURES = 60;

    public function __construct(
        private CurrentHouse $current,
        private ExportStove $stove,
        private ExportMakings $makings,
        private ExportBoils $boils,
        private Planning $planning,
        private KitchenFactory $kitchens,
    ) {}

    /**
     * As one JSON document: for what is small.
     *
     * @return array<string, mixed>
     *
     * @throws TransferException where it is too much for one
     */
    public function __invoke(): array
    {
        if ($this->heavy()) {
            throw TransferException::tooLarge();
        }

        return [
            'format' => self::FORMAT,
            'version' => 1,
            ...$this->head(),
            ...array_map(fn (iterable $rows) => iterator_to_array($rows, false), $this->rows(false)),
        ];
    }

    /** Whether it is more than one document in memory may be. */
    private function heavy(): bool
    {
        $rows = Batch::query()->count() + Making::query()->count() + Boil::query()->count() + Lot::withTrashed()->count();

        return $rows > self::ROWS || Photo::query()->count() > self::PICTURES;
    }

    /** @return array{exported_at: string, house: array<string, mixed>, people: list<array<string, string>>} */
    public function head(): array
    {
        $house = $this->current->house();

        return [
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
        ];
    }

    /**
     * Everything else, a few rows in memory at a time.
     *
     * @param  bool  $whole as the zip has it; else as the JSON document
     * @return array<string, iterable<array<string, mixed>>> by the name of the section
     */
    public function rows(bool $whole): array
    {
        return [
            'jars' => Jar::withTrashed()->lazyById(Exported::AT_ONCE)->map(
                fn (Jar $jar) => [
                    'id' => $jar->uid,
                    'called' => $jar->called,
                    'brim_ml' => (float) $jar->brim_ml,
                    'height_mm' => (float) $jar->height_mm,
                    'kind' => $jar->kind,
                    ...$jar->marks === null ? [] : ['marks' => $jar->marks],
                    'retired' => $jar->trashed(),
                ],
            ),
            'bottles' => BottleSize::withTrashed()->lazyById(Exported::AT_ONCE)->map(
                fn (BottleSize $size) => [
                    'id' => $size->uid,
                    'called' => $size->called,
                    'capacity_ml' => (float) $size->capacity_ml,
                    'retired' => $size->trashed(),
                ],
            ),
            'batches' => Batch::query()
                ->with(['entries' => fn ($query) => $query->orderBy('id')])
                ->lazyById(Exported::AT_ONCE)
                ->map($this->batch(...)),
            'lots' => Lot::withTrashed()
                ->with([
                    'moves' => fn ($query) => $query->orderBy('id'),
                    'moves.batch:id,house_id,uid',
                    'moves.making:id,house_id,uid',
                    'moves.boil:id,house_id,uid',
                    'checks',
                ])
                ->lazyById(Exported::AT_ONCE)
                ->map($this->lot(...)),
            'recipes' => Recipe::withTrashed()
                ->with(['versions' => fn ($query) => $query->orderBy('number')])
                ->lazyById(Exported::AT_ONCE)
                ->map($this->recipe(...)),
            'own' => OwnThing::query()->lazyById(Exported::AT_ONCE)->map(fn (OwnThing $own) => $own->fields),
            'almanac' => AlmanacNote::query()
                ->lazyById(Exported::AT_ONCE)
                ->map(fn (AlmanacNote $note) => ['kind' => $note->kind, 'key' => $note->key, 'note' => $note->note, 'by' => $note->by]),
            'makings' => ($this->makings)(),
            'boils' => ($this->boils)(),
            'wanted' => $this->makings->wanted(),
            ...($this->stove)($whole),
        ];
    }

    /** @return iterable<string, string> JPEGs by their file in the zip */
    public function pictures(): iterable
    {
        return $this->stove->pictures();
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
