<?php

namespace App\Actions\Houses;

use App\House\CurrentHouse;
use App\Models\Batch;
use App\Models\BottleSize;
use App\Models\Jar;
use App\Models\LogEntry;
use App\Models\Membership;
use Illuminate\Support\Carbon;

/** Everything of the house as docs/formats/house.schema.json. */
final readonly class ExportHouse
{
    public const FORMAT = 'warm-kettle-house';

    public function __construct(private CurrentHouse $current)
    {
    }

    /** @return array<string, mixed> */
    public function __invoke(): array
    {
        $house = $this->current->house();

        return [
            'format' => self::FORMAT,
            'version' => 1,
            'exported_at' => $this->moment(Carbon::now()),
            'house' => [...$house->only(['name', 'time_zone', 'measures', 'wake', 'bed']), 'drops_per_ml' => (float) $house->drops_per_ml],
            'people' => array_values(Membership::query()->where('house_id', $house->id)->with('user')->orderBy('id')->get()->map(
                fn (Membership $m) => ['name' => $m->user->name, 'email' => $m->user->email, 'role' => $m->role->value],
            )->all()),
            'jars' => array_values(Jar::withTrashed()->orderBy('id')->get()->map(fn (Jar $jar) => [
                'id' => $jar->uid, 'called' => $jar->called, 'brim_ml' => (float) $jar->brim_ml, 'height_mm' => (float) $jar->height_mm, 'retired' => $jar->trashed(),
            ])->all()),
            'bottles' => array_values(BottleSize::withTrashed()->orderBy('id')->get()->map(fn (BottleSize $size) => [
                'id' => $size->uid, 'called' => $size->called, 'capacity_ml' => (float) $size->capacity_ml, 'retired' => $size->trashed(),
            ])->all()),
            'batches' => array_values(Batch::query()->with(['entries' => fn ($query) => $query->orderBy('id')])->orderBy('id')->get()
                ->map(fn (Batch $batch) => $this->batch($batch))->all()),
        ];
    }

    /** @return array<string, mixed> */
    private function batch(Batch $batch): array
    {
        return [
            'id' => $batch->uid, 'code' => $batch->code, 'name' => $batch->name, 'herb_name' => $batch->herb_name,
            'oils_name' => $batch->oils_name, 'origin' => $batch->origin, 'start_at' => $this->moment($batch->start_at),
            'repeats' => $batch->repeats, 'wish' => (object) $batch->wish, 'plan' => $batch->plan,
            'log' => array_values($batch->entries->map(fn (LogEntry $entry) => [
                'id' => $entry->uid, 'kind' => $entry->kind, 'by' => $entry->by,
                'happened_at' => $this->moment($entry->happened_at), 'recorded_at' => $this->moment($entry->recorded_at),
                'data' => $entry->data, 'note' => $entry->note, 'corrects' => $entry->corrects,
            ])->all()),
        ];
    }

    private function moment(Carbon $moment): string
    {
        return $moment->copy()->utc()->format('Y-m-d\TH:i:s\Z');
    }
}
