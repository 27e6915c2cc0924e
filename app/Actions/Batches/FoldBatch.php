<?php

namespace App\Actions\Batches;

use App\Actions\Stores\Ledger;
use App\House\CurrentHouse;
use App\Models\Batch;
use App\Models\Bottle;
use App\Models\LogEntry;
use App\Models\Task;
use Illuminate\Support\Carbon;
use Kettle\Diary\Course;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Diary\Task as CoreTask;
use Kettle\Keeping\ShelfLife;

/**
 * Writes where a batch stands from its logbook: its stage, its open tasks, its bottles, its level.
 * Nothing else writes these, so they can be thrown away and made again at any time.
 */
final readonly class FoldBatch
{
    /** Looks whose colours the Shelf shows. */
    private const COLOURS = 8;

    public function __construct(private History $history, private CurrentHouse $current, private Ledger $ledger)
    {
    }

    public function refresh(Batch $batch): void
    {
        $standing = $this->history->standing($batch);
        $course = $this->history->course($batch, $standing);
        $strained = $this->last($standing, 'strained');
        $bottled = $this->last($standing, 'bottled');
        $batch->fill([
            'stage' => $course->stage,
            'filled_at' => $this->utc($course->filledAt),
            'strain_at' => $this->utc($course->timetable->strainAt),
            'strained_at' => $this->utc($course->strainedAt),
            'strained_ml' => $strained?->data['ml'],
            'left_ml' => $bottled?->data['left_ml'],
            'bottled_at' => $bottled?->happened_at,
            'best_before' => $this->bestBefore($batch, $course),
            'shelf' => [...$this->shelf($batch, $course, $strained), ...$this->looks($standing)],
            'version' => $batch->version + 1,
        ])->save();
        $this->writeTasks($batch, $course);
        $this->ledger->follow($batch, ! ($course->stage === Stage::Discarded && $course->filledAt === null));
        $this->writeBottles($batch, $course->stage === Stage::Bottled ? $bottled : null);
    }

    /** @param  list<LogEntry>  $standing */
    private function last(array $standing, string $kind): ?LogEntry
    {
        $of = array_filter($standing, fn (LogEntry $entry) => $entry->kind === $kind);

        return $of === [] ? null : end($of);
    }

    private function bestBefore(Batch $batch, Course $course): string
    {
        /** @var array{schedule: array{keeping_months: float|int}} $plan */
        $plan = $batch->plan;

        return ShelfLife::after($course->strainedAt ?? $course->timetable->strainAt, (float) $plan['schedule']['keeping_months'])->format('Y-m-d');
    }

    /** @return array<string, mixed> what the Shelf draws, so that it need not read whole plans */
    private function shelf(Batch $batch, Course $course, ?LogEntry $strained): array
    {
        /** @var array{jar: array{called: string, count?: int, brim_ml: float, height_mm: float, diameter_mm: float, bed_mm: float, level_mm: float}, state?: string, way?: string, method: array{id: string, name: string, heated: bool, hours: float}} $plan */
        $plan = $batch->plan;
        $jar = $plan['jar'];
        $out = is_numeric($strained?->data['ml'] ?? null) ? (float) $strained->data['ml'] : null;
        $sessions = count($course->timetable->sessions);
        $warm = count(array_filter($course->tasks, fn (CoreTask $task) => $task->step->value === 'warm_off'));

        return [
            'jar' => ($jar['count'] ?? 1) > 1 ? $jar['count'].' × '.$jar['called'] : $jar['called'],
            'state' => $plan['state'] ?? 'dried',
            'way' => $plan['way'] ?? 'squeezed',
            'brim_ml' => $jar['brim_ml'],
            'height_mm' => $jar['height_mm'],
            'diameter_mm' => $jar['diameter_mm'],
            'bed_mm' => $out === null ? $jar['bed_mm'] : 0.0,
            'level_mm' => $out === null ? $jar['level_mm'] : round($out / ($jar['count'] ?? 1) / $jar['brim_ml'] * $jar['height_mm'], 1),
            'method' => $plan['method']['name'],
            'heated' => $plan['method']['heated'],
            'hours' => $plan['method']['hours'],
            'sessions' => $sessions,
            'sessions_left' => $warm,
            'had_h' => round($course->warmed->hours(), 2),
            'warm_now' => $course->warmed->onSince !== null,
        ];
    }

    /**
     * @param  list<LogEntry>  $standing
     * @return array{colours: list<string>, seen: string} the last colours of the oil, and what was seen at the last look under the lid
     */
    private function looks(array $standing): array
    {
        $colours = [];
        $seen = '';
        foreach ($standing as $entry) {
            if ($entry->kind === 'look' && is_array($entry->data['rgb'] ?? null)) {
                $colours[] = vsprintf('#%02x%02x%02x', array_map(fn (mixed $c) => is_numeric($c) ? (int) $c : 0, array_slice(array_values($entry->data['rgb']), 0, 3)));
            }
            if ($entry->kind === 'task' && ($entry->data['task'] ?? '') === Step::Check->value && ($entry->data['outcome'] ?? '') === 'done') {
                $seen = is_array($entry->data['seen'] ?? null) && in_array('herb_above', $entry->data['seen'], true) ? 'herb stood out at the last look' : '';
            }
        }

        return ['colours' => array_slice($colours, -self::COLOURS), 'seen' => $seen];
    }

    private function writeTasks(Batch $batch, Course $course): void
    {
        $batch->tasks()->delete();
        $houseId = $this->current->house()->id;
        Task::query()->insert(array_map(fn (CoreTask $task) => [
            'house_id' => $houseId,
            'batch_id' => $batch->id,
            'key' => $task->key(),
            'step' => $task->step->value,
            'place' => $task->place,
            'due_at' => $this->utc($task->dueAt),
            'open' => $task->open && ! $task->step->isWaiting(),
            'minutes' => $task->step->minutes(),
        ], $course->tasks));
    }

    private function writeBottles(Batch $batch, ?LogEntry $bottled): void
    {
        $batch->bottles()->delete();
        /** @var list<array{called: string, capacity_ml: float, count: int}> $filled */
        $filled = $bottled === null ? [] : $bottled->data['bottles'];
        $rows = [];
        foreach ($filled as $size) {
            for ($i = 0; $i < $size['count']; $i++) {
                $rows[] = [
                    'house_id' => $this->current->house()->id,
                    'batch_id' => $batch->id,
                    'number' => count($rows) + 1,
                    'called' => $size['called'],
                    'capacity_ml' => $size['capacity_ml'],
                    'filled_ml' => $size['capacity_ml'],
                ];
            }
        }
        Bottle::query()->insert($rows);
    }

    private function utc(?\DateTimeImmutable $moment): ?Carbon
    {
        return $moment === null ? null : Carbon::instance($moment)->utc();
    }
}
