<?php

namespace App\Actions\Batches;

use App\Actions\Stores\Ledger;
use App\House\CurrentHouse;
use App\Models\Batch;
use App\Models\BatchYield;
use App\Models\Bottle;
use App\Models\Jar;
use App\Models\LogEntry;
use App\Models\Task;
use Illuminate\Support\Carbon;
use Kettle\Batch\PlannedJar;
use Kettle\Caution\ColdKept;
use Kettle\Diary\Course;
use Kettle\Diary\Stage;
use Kettle\Diary\Step;
use Kettle\Diary\Task as CoreTask;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\UptakeSpread;
use Kettle\Infusion\YieldHistory;
use Kettle\Infusion\YieldRefused;
use Kettle\Material\Tables;
use Kettle\Vessel\Jar as CoreJar;

/**
 * Writes where a batch stands from its logbook: its stage, its open tasks, its bottles, its level.
 * Nothing else writes these, so they can be thrown away and made again at any time.
 */
final readonly class FoldBatch
{
    /** Looks whose colours the Shelf shows. */
    private const COLOURS = 8;

    public function __construct(private History $history, private CurrentHouse $current, private Ledger $ledger, private KeptOil $kept, private Tables $tables)
    {
    }

    public function refresh(Batch $batch): void
    {
        $standing = $this->history->standing($batch);
        $course = $this->history->course($batch, $standing);
        $strained = $this->last($standing, 'strained');
        $bottled = $this->last($standing, 'bottled');
        $decanted = $this->last($standing, 'decanted');
        $as = $this->keptAs($standing, 'cool-dark');
        $warmth = is_string($strained?->data['warmth'] ?? null) ? $strained->data['warmth'] : '';
        $keeping = $this->kept->keeping($batch, $course, $as, $warmth);
        if ($keeping->coldOnly) {
            $as = $this->keptAs($standing, 'fridge');
            $keeping = $this->kept->keeping($batch, $course, $as, $warmth);
        }
        $cold = $batch->plan->isColdKept() && $course->filledAt !== null;
        $left = $this->writeBottles($batch, $bottled, $standing);
        $purpose = $this->last($standing, 'purpose')?->data['to'] ?? null;
        $batch->fill([
            'stage' => $course->stage,
            'filled_at' => $this->utc($course->filledAt),
            'strain_at' => $this->utc($course->timetable->strainAt),
            'strained_at' => $this->utc($course->strainedAt),
            'strained_ml' => $strained?->data['ml'],
            'left_ml' => $bottled?->data['left_ml'],
            'bottled_at' => $bottled?->happened_at,
            'best_before' => $keeping->bestBefore->format('Y-m-d'),
            'use_by' => $cold && $course->filledAt !== null ? $this->utc(ColdKept::goodUntil($course->filledAt, $course->strainedAt)) : null,
            'purpose' => is_string($purpose) ? $purpose : $batch->plan->purpose,
            'shelf' => [
                ...$this->shelf($batch, $course, $strained), ...$this->looks($standing),
                'poured_ml' => $decanted?->data['ml'], 'kept_as' => $as, 'warmth_said' => $warmth, 'bottles_left' => $left,
            ],
            'version' => $batch->version + 1,
        ])->save();
        // What is bottled is smelled, and what is cold used up, until the day just reckoned; so that day comes first.
        $this->writeTasks($batch, $course->stage === Stage::Bottled || $cold ? $this->history->course($batch, $standing) : $course);
        $this->ledger->follow($batch, ! ($course->stage === Stage::Discarded && $course->filledAt === null));
        $this->ledger->followBottles($batch, self::takenBottles($bottled));
        $this->writeYield($batch, $course, $strained);
    }

    /**
     * @param  list<LogEntry>  $standing
     * @param  string  $place where nobody said
     * @return array{place: string, glass: string, antioxidant: string, where: string} as it was bottled, with what was changed since
     */
    private function keptAs(array $standing, string $place): array
    {
        $as = ['place' => $place, 'glass' => 'dark', 'antioxidant' => 'none', 'where' => ''];
        foreach ($standing as $entry) {
            $said = match ($entry->kind) {
                'kept' => $entry->data,
                'bottled' => is_array($entry->data['kept'] ?? null) ? $entry->data['kept'] : [],
                default => [],
            };
            foreach (array_keys($as) as $key) {
                $as[$key] = is_string($said[$key] ?? null) ? $said[$key] : $as[$key];
            }
        }

        return $as;
    }

    /** @return array<string, float> bottles taken from Stores, by lot */
    private static function takenBottles(?LogEntry $bottled): array
    {
        $taken = [];
        foreach (is_array($bottled?->data['taken'] ?? null) ? $bottled->data['taken'] : [] as $each) {
            if (is_array($each) && is_string($each['lot'] ?? null) && is_numeric($each['count'] ?? null)) {
                $taken[$each['lot']] = ($taken[$each['lot']] ?? 0.0) + (float) $each['count'];
            }
        }

        return $taken;
    }

    /** What the next plan learns from; nothing of what was thrown away, or was made of unlike forms. */
    private function writeYield(Batch $batch, Course $course, ?LogEntry $strained): void
    {
        BatchYield::query()->where('batch_id', $batch->id)->delete();
        $form = $batch->plan->uptakeKey();
        $dry = $batch->plan->dryG();
        $out = $strained?->data['ml'] ?? null;
        if ($strained === null || $form === null || ! is_numeric($out) || $dry < 0.1 || $course->stage === Stage::Discarded) {
            return;
        }
        $oil = $batch->plan->figure('oil_volume');
        $way = is_string($strained->data['way'] ?? null) && in_array($strained->data['way'], Uptake::WAYS, true) ? $strained->data['way'] : $batch->plan->way;
        try {
            $uptake = YieldHistory::uptake($oil, (float) $out, $dry, Uptake::by($way, $this->tables)->lossesMl);
        } catch (YieldRefused) {
            // Taken in from a file with figures that cannot be: nothing is learned from it.
            return;
        }
        BatchYield::query()->create([
            'batch_id' => $batch->id, 'form' => $form, 'way' => $way, 'oil_ml' => $oil, 'out_ml' => $out, 'dry_g' => $dry,
            'uptake' => $uptake, 'variance' => UptakeSpread::of($this->tables)->variance($oil, $dry), 'strained_at' => $strained->happened_at,
        ]);
    }

    /** @param  list<LogEntry>  $standing */
    private function last(array $standing, string $kind): ?LogEntry
    {
        $of = array_filter($standing, fn (LogEntry $entry) => $entry->kind === $kind);

        return $of === [] ? null : end($of);
    }

    /**
     * What it stands in. Strained out of a bowl or a pan it is in a jar: nobody wrote down which, so it is drawn in the
     * smallest of the house that holds it.
     */
    private function stands(PlannedJar $jar, ?float $out): PlannedJar
    {
        if ($out === null) {
            return $jar;
        }
        if ($jar->is(CoreJar::JAR)) {
            return $jar->holding($out);
        }
        $jars = Jar::query()->where('kind', CoreJar::JAR)->orderBy('brim_ml')->get();
        $into = $jars->first(fn (Jar $each) => (float) $each->brim_ml >= $out) ?? $jars->last();

        return ($into === null ? $jar : $jar->strainedInto('a jar', (float) $into->brim_ml, (float) $into->height_mm, round($into->core()->diameterMm(), 1)))->holding($out);
    }

    /** @return array<string, mixed> what the Shelf draws, so that it need not read whole plans */
    private function shelf(Batch $batch, Course $course, ?LogEntry $strained): array
    {
        $plan = $batch->plan;
        $jar = $this->stands($plan->jar, is_numeric($strained?->data['ml'] ?? null) ? (float) $strained->data['ml'] : null);
        $sessions = count($course->timetable->sessions);
        $warm = count(array_filter($course->tasks, fn (CoreTask $task) => $task->step->value === 'warm_off'));

        return [
            'jar' => $jar->name(),
            'state' => $plan->state->value,
            'way' => $plan->way,
            'cold' => $batch->plan->isColdKept(),
            'brim_ml' => $jar->brimMl,
            'kind' => $jar->kind,
            'height_mm' => $jar->heightMm,
            'diameter_mm' => $jar->diameterMm,
            'bed_mm' => $jar->bedMm,
            'level_mm' => $jar->levelMm,
            'method' => $plan->method->name,
            'heated' => $plan->method->heated,
            'traits' => $this->history->method($batch)->traits,
            'hours' => $plan->method->hours,
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

    /**
     * @param  list<LogEntry>  $standing
     * @return int how many hold something yet; those of a batch thrown away stay known, so that they can be found
     */
    private function writeBottles(Batch $batch, ?LogEntry $bottled, array $standing): int
    {
        $batch->bottles()->delete();
        /** @var list<array{called: string, capacity_ml: float, count: int}> $filled */
        $filled = $bottled === null ? [] : $bottled->data['bottles'];
        $rows = [];
        foreach ($filled as $size) {
            for ($i = 0; $i < $size['count']; $i++) {
                $rows[count($rows) + 1] = [
                    'house_id' => $this->current->house()->id,
                    'batch_id' => $batch->id,
                    'number' => count($rows) + 1,
                    'called' => $size['called'],
                    'capacity_ml' => $size['capacity_ml'],
                    'filled_ml' => $size['capacity_ml'],
                    'left_ml' => (float) $size['capacity_ml'],
                    'state' => 'in',
                    'to' => '',
                ];
            }
        }
        foreach ($standing as $entry) {
            $number = $entry->kind === 'used' && is_numeric($entry->data['bottle'] ?? null) ? (int) $entry->data['bottle'] : 0;
            if (isset($rows[$number])) {
                $rows[$number] = self::after($rows[$number], $entry);
            }
        }
        Bottle::query()->insert(array_values($rows));

        return Bottle::query()->where('batch_id', $batch->id)->where('state', 'in')->count();
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> a bottle after some of it was used; given away whole or in part, it is not here any more
     */
    private static function after(array $row, LogEntry $entry): array
    {
        $ml = $entry->data['ml'] ?? 0;
        $how = $entry->data['how'] ?? 'used';
        $row['left_ml'] = max(0.0, round((is_numeric($row['left_ml']) ? (float) $row['left_ml'] : 0.0) - (is_numeric($ml) ? (float) $ml : 0.0), 3));
        $row['to'] = is_string($entry->data['to'] ?? null) ? mb_substr($entry->data['to'], 0, 160) : '';
        if ($row['left_ml'] <= 0.005) {
            $row['state'] = in_array($how, UseBottle::HOW, true) ? $how : 'used';
        }

        return $row;
    }

    private function utc(?\DateTimeImmutable $moment): ?Carbon
    {
        return $moment === null ? null : Carbon::instance($moment)->utc();
    }
}
