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
     * @param  list<BoilRow>  $rows
     * @return int pots added, or that have new lines
     */
    public function __invoke(array $rows): int
    {
        $known = Boil::query()->get()->keyBy('uid');
        $codes = $known->pluck('uid', 'code');
        $changed = [];
        foreach ($rows as $row) {
            $boil = $known->get($row['id']);
            if ($boil === null) {
                if ($codes->has($row['code'])) {
                    throw ImportException::codeTaken($row['code']);
                }
                $boil = $this->add($row);
                $known->put($boil->uid, $boil);
                $codes->put($boil->code, $boil->uid);
            }
            if ($this->lines->add(BoilEntry::class, 'boil_id', $boil->id, $row['log']) > 0) {
                $this->logbook->refresh($boil);
                $changed[] = $boil;
            }
        }
        foreach ($changed as $boil) {
            $this->fill->taken($boil);
        }
        $count = $codes->keys()->map(fn (int|string $code) => (int) substr((string) $code, 4))->max() ?? 0;
        DB::table('batch_counters')->upsert(
            [['house_id' => $this->current->house()->id, 'begun' => 0, 'boiled' => $count]],
            ['house_id'],
            ['boiled' => DB::raw('GREATEST(boiled, VALUES(boiled))')],
        );

        return count($changed);
    }

    /** @param  BoilRow  $row */
    private function add(array $row): Boil
    {
        return Boil::query()
            ->create([
                'uid' => $row['id'],
                'code' => $row['code'],
                'kind' => $row['kind'],
                'wish' => $row['wish'],
                'plan' => $row['plan'],
                'label' => $row['label'] ?? null,
                'stage' => Stage::Planned,
                'begun_at' => Carbon::parse($row['begun_at']),
            ])
            ->refresh();
    }
}
