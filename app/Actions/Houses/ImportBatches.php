<?php

namespace App\Actions\Houses;

use App\Models\Batch;
use App\Models\LogEntry;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\Stage;
use Kettle\Infusion\MethodException;
use Kettle\Infusion\Methods;
use Kettle\Material\Blend;
use Kettle\Material\MaterialException;
use Kettle\Material\Tables;
use Kettle\Recipe\PlanDocument;
use Kettle\Recipe\Planning;

/**
 * Takes in the batches of a house's file with their logbooks: those that are not here, and the lines that are not here of
 * those that are.
 *
 * @phpstan-import-type BatchRow from ImportHouse
 * @phpstan-import-type PlanRow from ImportHouse
 */
final readonly class ImportBatches
{
    public function __construct(
        private CurrentHouse $current,
        private Tables $tables,
        private Planning $planning,
        private ImportLines $lines,
    ) {}

    /**
     * @param  iterable<BatchRow>  $rows
     * @return array{int, int, int, list<int>} batches and lines added, batches here already, and which have new lines
     */
    public function rows(iterable $rows): array
    {
        /** @var array<string, int> $ids */
        $ids = Batch::query()->pluck('id', 'uid')->all();
        $codes = Batch::query()->pluck('uid', 'code');
        $added = $lines = $here = 0;
        $changed = [];
        foreach ($rows as $row) {
            $id = $ids[$row['id']] ?? null;
            if ($id === null) {
                if ($codes->has($row['code'])) {
                    throw ImportException::codeTaken($row['code']);
                }
                $id = $this->addBatch($row);
                $ids[$row['id']] = $id;
                $codes->put($row['code'], $row['id']);
                $added++;
            } else {
                $here++;
            }
            $new = $this->lines->add(LogEntry::class, 'batch_id', $id, $row['log']);
            $lines += $new;
            if ($new > 0) {
                $changed[] = $id;
            }
        }
        $house = $this->current->house();
        $count = $codes->keys()->map(fn (int|string $code) => (int) substr((string) $code, 3))->max() ?? 0;
        DB::table('batch_counters')->upsert(
            [['house_id' => $house->id, 'begun' => $count]],
            ['house_id'],
            ['begun' => DB::raw('GREATEST(begun, VALUES(begun))')],
        );

        return [$added, $lines, $here, $changed];
    }

    /**
     * @param  BatchRow  $row
     * @return int its id
     */
    private function addBatch(array $row): int
    {
        $kept = $row['kept'] ?? null;
        $this->refuseUnknown($row, $row['plan']);
        $kept !== null && $this->refuseUnknown($row, $kept['plan']);
        $start = Carbon::parse($row['start_at']);

        return Batch::query()->create([
            'uid' => $row['id'],
            'code' => $row['code'],
            'herbs' => $kept['herbs'] ?? ['all' => [$row['herb_name']]],
            'oils' => $kept['oils'] ?? ['all' => [$row['oils_name']]],
            'origin' => $row['origin'],
            'wish' => $row['wish'],
            'plan' => $kept['plan'] ?? PlanDocument::kept($row['plan']),
            'repeats' => $row['repeats'],
            'label' => $row['label'] ?? null,
            'start_at' => $start,
            'strain_at' => $start,
            'best_before' => $start,
            'stage' => Stage::Planned,
            'shelf' => [],
            'version' => 0,
        ])->id;
    }

    /**
     * A plan must be one the core can follow: a method and oils it knows.
     *
     * @param  BatchRow  $row
     * @param  PlanRow  $plan as it is told, or kept
     */
    private function refuseUnknown(array $row, array $plan): void
    {
        try {
            Methods::of($this->tables)->method($plan['method']['id']);
            $cupboard = $this->planning->cupboard();
            $parts = [];
            foreach ($plan['oils'] as $oil) {
                $parts[] = ['carrier' => $cupboard->carrier($oil['id']), 'parts' => (float) $oil['share']];
            }
            Blend::of($parts);
        } catch (MethodException|MaterialException $refused) {
            throw ImportException::notOurs('batch '.$row['code'], lcfirst($refused->sentence));
        }
        foreach (['herb_mass' => ['value'], 'oil_volume' => ['value'], 'yield_volume' => ['low', 'value', 'high']] as $figure => $parts) {
            foreach ($parts as $part) {
                if (! is_numeric($plan['figures'][$figure][$part] ?? null) || is_string($plan['figures'][$figure][$part])) {
                    throw ImportException::notOurs('batch '.$row['code'], "the figure {$figure} is not a number");
                }
            }
        }
    }
}
