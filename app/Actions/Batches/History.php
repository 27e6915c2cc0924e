<?php

namespace App\Actions\Batches;

use App\House\Kitchens;
use App\Models\Batch;
use App\Models\LogEntry;
use Kettle\Diary\Course;
use Kettle\Diary\Event;
use Kettle\Infusion\Methods;
use Kettle\Material\Tables;

/** Reads a batch's logbook as the core wants it: what stands, without what was struck out. */
final readonly class History
{
    public function __construct(private Kitchens $kitchens, private Tables $tables)
    {
    }

    /** @return list<LogEntry> oldest first, corrected and struck ones left out */
    public function standing(Batch $batch): array
    {
        $entries = $batch->entries()->orderBy('id')->get();
        $corrected = $entries->pluck('corrects')->filter()->flip();

        return array_values($entries->filter(
            fn (LogEntry $entry) => ! $corrected->has($entry->uid) && $entry->kind !== 'undone',
        )->all());
    }

    /** @param  list<LogEntry>|null  $standing */
    public function course(Batch $batch, ?array $standing = null): Course
    {
        $events = [];
        foreach ($standing ?? $this->standing($batch) as $entry) {
            if (($event = $this->event($entry)) !== null) {
                $events[] = $event;
            }
        }
        /** @var array{method: array{id: string, hours: float|int, stands_h?: float|int}} $plan */
        $plan = $batch->plan;

        return Course::follow(
            (new Methods($this->tables))->method($plan['method']['id']),
            (float) $plan['method']['hours'],
            $this->kitchens->local($batch->start_at),
            $this->kitchens->plain()->waking,
            $events,
            (float) ($plan['method']['stands_h'] ?? 0),
        );
    }

    private function event(LogEntry $entry): ?Event
    {
        $at = $this->kitchens->local($entry->happened_at);
        $text = fn (string $key): string => is_string($entry->data[$key] ?? null) ? $entry->data[$key] : '';

        return match ($entry->kind) {
            'strained' => Event::done('strain', $at),
            'bottled' => Event::done('bottle', $at),
            'discarded' => Event::discarded($at),
            'task' => match ($text('outcome')) {
                'skipped' => Event::skipped($text('task'), $at),
                'later' => Event::putOff($text('task'), $at, $this->kitchens->local(new \DateTimeImmutable($text('until')))),
                default => Event::done($text('task'), $at),
            },
            default => null,
        };
    }
}
