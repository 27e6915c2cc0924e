<?php

namespace App\Actions\Melt;

use App\Actions\Batches\DiscardBatch;
use App\Actions\Batches\UseBottle;
use App\Actions\Boil\TendBoil;
use App\Actions\Stores\SaveLot;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\Making;
use Illuminate\Support\Facades\DB;
use Kettle\Diary\Stage as BatchStage;
use Kettle\Making\Stage;
use Kettle\Reason\RefusedException;

/** Closes everything that something which turned went into: each tin, bottle, product, batch, pot and lot, in its own logbook, as one. */
final readonly class RecallAll
{
    public function __construct(
        private WorkAtPot $pot,
        private UseBottle $bottles,
        private DiscardBatch $discard,
        private SaveLot $lots,
        private TendBoil $boils,
    ) {}

    /**
     * @param  list<string>  $things as a trace names them: "tin 5 2" is the second of the product 5
     * @param  string  $reason kept with each
     *
     * @throws RefusedException when one of them cannot be thrown away
     */
    public function __invoke(array $things, string $reason): void
    {
        $of = [];
        foreach ($things as $thing) {
            [$kind, $id, $number] = array_pad(explode(' ', $thing), 3, '0');
            $of[$kind][(int) $id][] = (int) $number;
        }
        DB::transaction(function () use ($of, $reason): void {
            // From whoever has it back to the plant: what a later thing holds is closed before what it was made of.
            foreach (Making::query()->whereKey(array_keys(($of['tin'] ?? []) + ($of['product'] ?? [])))->orderBy('id')->get() as $making) {
                foreach ($of['tin'][$making->id] ?? [] as $number) {
                    $this->pot->gone($making, $number, 'thrown', '', null);
                }
                if (isset($of['product'][$making->id]) && $making->stage !== Stage::Discarded) {
                    $this->pot->discard($making, $reason);
                }
            }
            foreach (Batch::query()->whereKey(array_keys(($of['bottle'] ?? []) + ($of['batch'] ?? [])))->orderBy('id')->get() as $batch) {
                foreach ($of['bottle'][$batch->id] ?? [] as $number) {
                    ($this->bottles)($batch, $number, 'thrown', null, '');
                }
                if (isset($of['batch'][$batch->id]) && $batch->stage !== BatchStage::Discarded) {
                    ($this->discard)($batch, $reason);
                }
            }
            foreach (Boil::query()->whereKey(array_keys($of['pot'] ?? []))->orderByDesc('id')->get() as $boil) {
                $this->boils->discard($boil, $reason);
            }
            foreach (Lot::query()->whereKey(array_keys($of['lot'] ?? []))->orderBy('id')->get() as $lot) {
                $this->lots->count($lot, '0', $reason);
            }
        });
    }
}
