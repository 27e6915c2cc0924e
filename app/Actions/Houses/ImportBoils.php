<?php

namespace App\Actions\Houses;

use App\Actions\Boil\BoilLogbook;
use App\Actions\Boil\FillPot;
use App\Models\Boil;
use App\Models\BoilEntry;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Boiling\Stage;

/**
 * The pots of an exported house: what is here already, by id, stays; lines of logbooks not here yet are added.
 *
 * @phpstan-import-type BoilRow from ImportHouse
 */
final readonly class ImportBoils
{
    public function __construct(
        private CurrentHouse $current,
        private BoilLogbook $logbook,
        private ImportLines $lines,
        private FillPot $fill,
    ) {}

    /**
     * @param  iterable<BoilRow>  $rows
     * @return int pots added, or that have new lines
     */
    public function __invoke(iterable $rows): int
    {
        /** @var array<string, int> $ids */
        $ids = Boil::query()->pluck('id', 'uid')->all();
        $codes = Boil::query()->pluck('uid', 'code');
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
            }
            if ($this->lines->add(BoilEntry::class, 'boil_id', $id, $row['log']) > 0) {
                $this->logbook->refresh(Boil::query()->whereKey($id)->firstOrFail());
                $changed[] = $id;
            }
        }
        foreach ($changed as $id) {
            $this->fill->taken(Boil::query()->whereKey($id)->firstOrFail());
        }
        $count = $codes->keys()->map(fn (int|string $code) => (int) substr((string) $code, 4))->max() ?? 0;
        DB::table('batch_counters')->upsert(
            [['house_id' => $this->current->house()->id, 'begun' => 0, 'boiled' => $count]],
            ['house_id'],
            ['boiled' => DB::raw('GREATEST(boiled, VALUES(boiled))')],
        );

        return count($changed);
    }

    /**
     * @param  BoilRow  $row
     * @return int its id
     */
    private function add(array $row): int
    {
        return Boil::query()->create([
            'uid' => $row['id'],
            'code' => $row['code'],
            'kind' => $row['kind'],
            'wish' => $row['wish'],
            'plan' => $row['plan'],
            'label' => $row['label'] ?? null,
            'stage' => Stage::Planned,
            'begun_at' => Carbon::parse($row['begun_at']),
        ])->id;
    }
}
