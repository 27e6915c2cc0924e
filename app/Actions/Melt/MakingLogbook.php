<?php

namespace App\Actions\Melt;

use App\Actions\Batches\NewLine;
use App\Actions\Boil\TakeFromPots;
use App\Actions\Stores\StockLedger;
use App\House\WhenDone;
use App\Models\Batch;
use App\Models\Making;
use App\Models\MakingEntry;
use App\Models\Tin;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Kettle\Making\MakingState;
use Kettle\Making\TinState;
use Kettle\Melt\Verdict;

/** Adds a line to a product's logbook; its tins, the bottles and pots it is taken from and Stores follow, as one. */
final readonly class MakingLogbook
{
    public function __construct(
        private MakingRecords $records,
        private PourFromBottles $bottles,
        private TakeFromPots $pots,
        private StockLedger $ledger,
        private WhenDone $done,
        private FollowOils $oils,
    ) {}

    /**
     * @param  \Closure(MakingState, Making): NewLine  $entry given where it stands, locked; may refuse
     * @param  bool  $strict whether a lot that holds less than is wanted of it refuses the line
     */
    public function write(Making $making, \Closure $entry, bool $strict = false): MakingEntry
    {
        return DB::transaction(function () use ($making, $entry, $strict): MakingEntry {
            $locked = Making::query()->whereKey($making->id)->lockForUpdate()->firstOrFail();
            $new = $entry($this->records->state($locked), $locked);
            $written = MakingEntry::query()->create(
                ['making_id' => $locked->id] + $new->columns($this->done, fn () => $this->records->log($locked)),
            );
            $this->refresh($locked, $strict);
            $making->setRawAttributes($locked->getAttributes(), true)->unsetRelations();

            return $written;
        });
    }

    /** Folds one that was taken in: what it took is in the logbooks and moves that came with it, and is not taken again. */
    public function taken(Making $making): void
    {
        $takes = $this->refresh($making, take: false)->takes;
        DB::table('making_batches')->where('making_id', $making->id)->delete();
        foreach (
            Batch::query()
                ->whereIn('uid', array_keys($takes->bottles))
                ->get(['id', 'house_id', 'uid']) as $batch
        ) {
            $this->bottles->note($making, $batch, round($takes->bottles[$batch->uid], 3));
        }
        $this->pots->noted($making, $takes->boils);
        $this->oils->of($making);
    }

    /** Folds it anew: nothing else writes where it stands, so that can be thrown away and made again at any time. */
    public function refresh(Making $making, bool $strict = false, bool $take = true): MakingState
    {
        $state = $this->records->state($making);
        $making
            ->fill([
                'stage' => $state->stage,
                'poured_at' => $state->pouredAt === null ? null : Carbon::instance($state->pouredAt)->utc(),
                'best_before' => $state->bestBefore,
                'tins' => count($state->tins),
                'tins_left' => $state->tinsLeft(),
                'stands' => $state->poured->where ?? '',
                'loss' => $state->loss,
                'verdicts' => array_map(
                    fn (Verdict $each) => [
                        'firmness' => round($each->firmness, 6),
                        'is' => $each->is,
                        'by' => $each->by,
                        'room_c' => $each->roomC,
                    ],
                    $state->verdicts,
                ),
                'version' => $making->version + 1,
            ])
            ->save();
        Tin::query()->where('making_id', $making->id)->delete();
        Tin::query()->insert(
            array_map(
                fn (TinState $tin) => [
                    'house_id' => $making->getAttribute('house_id'),
                    'making_id' => $making->id,
                    'number' => $tin->number,
                    'ml' => $tin->ml,
                    'grams' => round($tin->grams, 3),
                    'state' => $tin->state,
                    'to' => $tin->to,
                    'price' => $tin->price,
                ],
                $state->tins,
            ),
        );
        if ($take) {
            $this->bottles->follow($making, $state->takes->bottles);
            $this->pots->follow($making, $state->takes->boils);
            $this->ledger->followUse($making, $state->takes->lots, $strict);
            $this->oils->of($making);
        }

        return $state;
    }
}
