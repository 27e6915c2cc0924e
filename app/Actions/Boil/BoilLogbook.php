<?php

namespace App\Actions\Boil;

use App\Actions\Batches\LoggedLines;
use App\Actions\Batches\NewLine;
use App\House\KitchenFactory;
use App\House\WhenDone;
use App\Models\Boil;
use App\Models\BoilEntry;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Logbook;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\Hand;
use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;

/** Reads a pot's logbook, and adds a line to it; where the pot stands follows, as one. */
final readonly class BoilLogbook
{
    public function __construct(private KitchenFactory $kitchens, private Tables $tables, private WhenDone $done) {}

    public function log(Boil $boil): Logbook
    {
        $entries = $boil->relationLoaded('entries') ? $boil->entries->sortBy('id') : $boil->entries()->orderBy('id')->get();

        return LoggedLines::read($entries, $this->kitchens);
    }

    public function state(Boil $boil): BoilState
    {
        return BoilState::of($boil->plan, $this->log($boil), $this->kitchens->now());
    }

    /** What may be done at it where it stands. */
    public function hand(BoilState $state): Hand
    {
        $kitchen = $this->kitchens->plain();
        $kind = $state->plan->byWeight ? Kind::Mass : Kind::Volume;

        return new Hand(
            $state,
            $this->tables,
            fn (float $amount): string => $kitchen->writer()->plain($amount, $kind),
            fn (string $code): string => $kitchen->words()->of(Said::of("done.{$code}")),
        );
    }

    /** @param  \Closure(BoilState, Boil): NewLine  $entry given where it stands, locked; may refuse */
    public function write(Boil $boil, \Closure $entry): BoilEntry
    {
        return DB::transaction(function () use ($boil, $entry): BoilEntry {
            $locked = Boil::query()->whereKey($boil->id)->lockForUpdate()->firstOrFail();
            $new = $entry($this->state($locked), $locked);
            $written = BoilEntry::query()->create(['boil_id' => $locked->id] + $new->columns($this->done, fn () => $this->log($locked)));
            $this->refresh($locked);
            $boil->setRawAttributes($locked->getAttributes(), true)->unsetRelations();

            return $written;
        });
    }

    /** Folds it anew: nothing else writes where it stands. */
    public function refresh(Boil $boil): void
    {
        $state = $this->state($boil->unsetRelations());
        $boil
            ->fill([
                'stage' => $state->stage,
                'best_before' => $state->made?->bestBefore,
                'left' => round($state->left, 3),
                'stands' => $state->made->where ?? '',
                'batch' => $state->made?->batch,
                'version' => $boil->version + 1,
            ])
            ->save();
    }
}
