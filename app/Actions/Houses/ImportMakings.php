<?php

namespace App\Actions\Houses;

use App\Actions\Melt\MakingLogbook;
use App\Actions\Melt\WantProduct;
use App\Models\Making;
use App\Models\MakingEntry;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Wanted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Making\Stage;
use Kettle\Material\Tables;
use Kettle\Melt\MeltException;
use Kettle\Melt\MeltTable;

/**
 * The products of an exported house: what is here already, by id, stays; lines of logbooks not here yet are added.
 *
 * @phpstan-import-type MakingRow from ImportHouse
 * @phpstan-import-type WantedRow from ImportHouse
 */
final readonly class ImportMakings
{
    public function __construct(
        private CurrentHouse $current,
        private Tables $tables,
        private MakingLogbook $logbook,
        private WantProduct $want,
        private ImportLines $lines,
    ) {}

    /**
     * Before the lots, whose moves name them.
     *
     * @param  iterable<MakingRow>  $rows
     * @return array{int, list<int>} products added, and those that have new lines
     */
    public function rows(iterable $rows): array
    {
        /** @var array<string, int> $ids */
        $ids = Making::query()->pluck('id', 'uid')->all();
        $codes = Making::query()->pluck('uid', 'code');
        $added = 0;
        $changed = [];
        foreach ($rows as $row) {
            $id = $ids[$row['id']] ?? null;
            if ($id === null) {
                if ($codes->has($row['code'])) {
                    throw ImportException::codeTaken($row['code']);
                }
                $id = $this->add($row);
                $ids[$row['id']] = $id;
                $codes->put($row['code'], $row['id']);
                $added++;
            }
            if ($this->lines->add(MakingEntry::class, 'making_id', $id, $row['log']) > 0) {
                $changed[] = $id;
            }
        }
        $count = $codes->keys()->map(fn (int|string $code) => (int) substr((string) $code, 4))->max() ?? 0;
        DB::table('batch_counters')->upsert(
            [['house_id' => $this->current->house()->id, 'begun' => 0, 'made' => $count]],
            ['house_id'],
            ['made' => DB::raw('GREATEST(made, VALUES(made))')],
        );

        return [$added, $changed];
    }

    /**
     * Once everything they were made from is here. What they took stands in the logbooks and moves of that file already.
     *
     * @param  list<int>  $changed
     */
    public function fold(array $changed): void
    {
        foreach ($changed as $id) {
            $this->logbook->taken(Making::query()->findOrFail($id));
        }
    }

    /**
     * What is wanted by a day, once its oils are here.
     *
     * @param  iterable<WantedRow>  $rows
     * @return int added
     */
    public function wanted(iterable $rows): int
    {
        $known = Wanted::query()->pluck('id', 'uid');
        $begun = Making::query()->pluck('id', 'uid');
        $added = 0;
        foreach ($rows as $row) {
            if ($known->has($row['id'])) {
                continue;
            }
            $wanted = Wanted::query()
                ->create([
                    'uid' => $row['id'],
                    'product' => is_string($row['wish']['product'] ?? null) ? $row['wish']['product'] : 'salve',
                    'wish' => $row['wish'],
                    'ready_by' => $row['ready_by'],
                    'making_id' => $begun->get($row['making'] ?? ''),
                    'closed_at' => isset($row['closed_at']) ? Carbon::parse($row['closed_at']) : null,
                    'plants' => [],
                    'days' => [],
                    'make_at' => Carbon::parse($row['ready_by']),
                    'minutes' => 0,
                ])
                ->refresh();
            $wanted->closed_at === null && $this->want->follow($wanted);
            $known->put($wanted->uid, $wanted->id);
            $added++;
        }

        return $added;
    }

    /**
     * @param  MakingRow  $row
     * @return int its id
     */
    private function add(array $row): int
    {
        try {
            MeltTable::of($this->tables)->product($row['product']);
        } catch (MeltException $refused) {
            throw ImportException::notOurs('product '.$row['code'], lcfirst($refused->sentence));
        }
        $begun = Carbon::parse($row['begun_at']);

        return Making::query()->create([
            'uid' => $row['id'],
            'code' => $row['code'],
            'product' => $row['product'],
            'wish' => $row['wish'],
            'plan' => $row['kept']['plan'],
            'plants' => $row['kept']['plants'],
            'label' => $row['label'] ?? null,
            'begun_at' => $begun,
            'best_before' => $begun,
            'stage' => Stage::Planned,
            'verdicts' => [],
        ])->id;
    }
}
