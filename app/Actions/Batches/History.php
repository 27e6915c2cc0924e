<?php

namespace App\Actions\Batches;

use App\House\Kitchens;
use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Diary\Course;
use Kettle\Diary\Event;
use Kettle\Diary\Presence;
use Kettle\Diary\Routine;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;

/** Reads a batch's logbook as the core wants it: what stands, without what was struck out. */
final readonly class History
{
    /** Of the planned hours, so much is as good as all of it. */
    private const MOST_OF = 0.5;

    public function __construct(private Kitchens $kitchens, private Methods $methods, private KeptOil $kept)
    {
    }

    /** @return list<LogEntry> oldest first, corrected and struck ones left out */
    public function standing(Batch $batch): array
    {
        $entries = $batch->relationLoaded('entries') ? $batch->entries->sortBy('id') : $batch->entries()->orderBy('id')->get();
        $corrected = $entries->pluck('corrects')->filter()->flip();

        return array_values($entries->filter(
            fn (LogEntry $entry) => ! $corrected->has($entry->uid) && $entry->kind !== 'undone',
        )->all());
    }

    /** @param  list<LogEntry>|null  $standing */
    public function course(Batch $batch, ?array $standing = null, ?Presence $presence = null): Course
    {
        $events = [];
        foreach ($standing ?? $this->standing($batch) as $entry) {
            if (($event = $this->event($entry)) !== null) {
                $events[] = $event;
            }
        }

        return Course::follow(
            $this->routine($batch),
            $this->kitchens->local($batch->start_at),
            $presence ?? $this->kitchens->presence(),
            $events,
            $this->slots($batch),
            // Nothing is asked of what is all used up; what is kept cold has its day before it is bottled too.
            ($batch->shelf['bottles_left'] ?? 0) > 0 || ($batch->use_by !== null && $batch->bottled_at === null) ? $this->kept->upkeep($batch) : null,
        );
    }

    /** What it asks of the days, as it was planned. */
    public function routine(Batch $batch): Routine
    {
        // In a cooker shared with others it takes as long as they do together.
        $warmUp = $batch->diary['warm_up_min'] ?? null;

        return $batch->plan->routine($this->methods, is_numeric($warmUp) ? (int) $warmUp : null);
    }

    /** Whether the warmth that was planned is not in the records: too little to say that it was had. */
    public function lacksWarmth(Batch $batch): bool
    {
        // What is kept cold has its four days with warmth or without.
        return ! $batch->plan->isColdKept() && $this->method($batch)->heated && $this->course($batch)->warmed->hours() < self::MOST_OF * $batch->plan->method->hours;
    }

    /** The method as the batch goes about it. */
    public function method(Batch $batch): Method
    {
        return $batch->plan->method->practised($this->methods);
    }

    /** @return list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}> sessions the diary keeps for it */
    private function slots(Batch $batch): array
    {
        $slots = [];
        foreach (is_array($batch->diary['slots'] ?? null) ? $batch->diary['slots'] : [] as $slot) {
            $slots[] = ['from' => $this->kitchens->local(new \DateTimeImmutable($slot['from'])), 'to' => $this->kitchens->local(new \DateTimeImmutable($slot['to']))];
        }

        return $slots;
    }

    private function event(LogEntry $entry): ?Event
    {
        $at = $this->kitchens->local($entry->happened_at);
        $text = fn (string $key): string => is_string($entry->data[$key] ?? null) ? $entry->data[$key] : '';

        return match ($entry->kind) {
            'strained' => Event::done('strain', $at),
            'decanted' => Event::done('decant', $at),
            'bottled' => Event::done('bottle', $at),
            'checked' => $text('verdict') === 'past' ? Event::discarded($at) : Event::done('smell', $at),
            'discarded' => Event::discarded($at),
            'task' => match ($text('outcome')) {
                'skipped' => Event::skipped($text('task'), $at),
                'later' => Event::putOff($text('task'), $at, $this->kitchens->local(new \DateTimeImmutable($text('until')))),
                default => array_diff(array_keys(Method::SIGNS), is_array($entry->data['seen'] ?? null) ? $entry->data['seen'] : []) === [] ? Event::doneBySigns($text('task'), $at) : (is_numeric($entry->data['warm_h'] ?? null) ? Event::warmed($text('task'), $at, (float) $entry->data['warm_h']) : Event::done($text('task'), $at)),
            },
            default => null,
        };
    }
}
