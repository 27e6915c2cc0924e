<?php

namespace App\Actions\Batches;

use App\Actions\Melt\FollowOils;
use App\Actions\Melt\WantProduct;
use App\Actions\Stores\StockLedger;
use App\Models\Batch;
use App\Models\Bottle;
use App\Models\Jar;
use App\Models\Task;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Batch\BatchState;
use Kettle\Batch\BottleState;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\PlannedJar;
use Kettle\Batch\Shelf;
use Kettle\Diary\Stage;
use Kettle\Diary\Task as CoreTask;
use Kettle\Vessel\Jar as CoreJar;

/**
 * Writes where a batch stands, as the core folds it from its logbook: its stage, its open tasks, its bottles, its level.
 * Nothing else writes these, so they can be thrown away and made again at any time.
 */
final readonly class BatchProjector
{
    public function __construct(
        private Records $records,
        private CurrentHouse $current,
        private StockLedger $ledger,
        private WantProduct $wanted,
        private FollowOils $oils,
        private KeepYield $yields,
    ) {}

    public function refresh(Batch $batch): void
    {
        $state = $this->records->state($batch);
        $progress = $state->progress;
        $batch
            ->fill([
                'stage' => $progress->stage,
                'filled_at' => $this->utc($progress->filledAt),
                'strain_at' => $this->utc($progress->timetable->strainAt),
                'strained_at' => $this->utc($progress->strainedAt),
                'strained_ml' => $state->strained?->ml,
                'left_ml' => $state->bottled?->leftMl,
                'bottled_at' => $this->utc($state->bottledAt),
                'best_before' => $state->keeping->bestBefore->format('Y-m-d'),
                'use_by' => $this->utc($state->useBy),
                'purpose' => $state->purpose,
                'shelf' => Shelf::of($state, $this->standsIn($batch->plan->jar, $state->strained)),
                'version' => $batch->version + 1,
            ])
            ->save();
        if ($batch->wasChanged(['stage', 'best_before'])) {
            $this->oils->ofBatch($batch);
        }
        $this->writeTasks($batch, $state);
        $this->writeBottles($batch, $state);
        $this->writeLearned($batch, $state);
        $this->ledger->follow($batch, ! ($progress->stage === Stage::Discarded && $progress->filledAt === null));
        $this->ledger->followTopUps($batch, $state->record->toppedUp());
        $this->ledger->followBottles($batch, $state->bottled?->takenByLot() ?? []);
        $this->wanted->followBatch($batch);
    }

    private function standsIn(PlannedJar $jar, ?Strained $strained): PlannedJar
    {
        if ($strained?->ml === null) {
            return $jar;
        }
        $jars = Jar::query()->where('kind', CoreJar::JAR)->orderBy('brim_ml')->get()->map(fn (Jar $each) => $each->core())->all();

        return $jar->strained($strained->ml, array_values($jars));
    }

    private function writeTasks(Batch $batch, BatchState $state): void
    {
        $batch->tasks()->delete();
        $houseId = $this->current->house()->id;
        Task::query()->insert(
            array_map(
                fn (CoreTask $task) => [
                    'house_id' => $houseId,
                    'batch_id' => $batch->id,
                    'key' => $task->key(),
                    'step' => $task->step->value,
                    'place' => $task->place,
                    'due_at' => $this->utc($task->dueAt),
                    'open' => $task->open && ! $task->step->isWaiting(),
                    'minutes' => $task->step->minutes(),
                ],
                $state->progress->tasks,
            ),
        );
    }

    private function writeBottles(Batch $batch, BatchState $state): void
    {
        $batch->bottles()->delete();
        $houseId = $this->current->house()->id;
        Bottle::query()->insert(
            array_map(
                fn (BottleState $bottle) => [
                    'house_id' => $houseId,
                    'batch_id' => $batch->id,
                    'number' => $bottle->number,
                    'called' => $bottle->called,
                    'capacity_ml' => $bottle->capacityMl,
                    'filled_ml' => $bottle->capacityMl,
                    'left_ml' => $bottle->leftMl,
                    'state' => $bottle->state,
                    'to' => $bottle->to,
                ],
                $state->bottles,
            ),
        );
    }

    /** What the next plan learns from. */
    private function writeLearned(Batch $batch, BatchState $state): void
    {
        $learned = $state->learned;
        $this->yields->keep(
            $batch,
            $learned === null
                ? null
                : [
                    'form' => $learned->form,
                    'way' => $learned->way,
                    'oil_ml' => round($learned->oilMl, 3),
                    'out_ml' => round($learned->outMl, 3),
                    'dry_g' => round($learned->dryG, 3),
                    'uptake' => $learned->uptake,
                    'variance' => $learned->variance,
                    'strained_at' => $this->utc($state->progress->strainedAt),
                ],
        );
    }

    private function utc(?\DateTimeImmutable $moment): ?Carbon
    {
        return $moment === null ? null : Carbon::instance($moment)->utc();
    }
}
