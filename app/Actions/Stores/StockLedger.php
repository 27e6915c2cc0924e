<?php

namespace App\Actions\Stores;

use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\LotMove;
use App\Models\Making;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\Planning;
use Kettle\Stores\Allocation;
use Kettle\Stores\Condition;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;

/** Writes what comes into lots and goes out of them, and keeps what is left beside it. */
final readonly class StockLedger
{
    public function __construct(private CurrentHouse $current, private Planning $planning) {}

    /** @param  float  $amount in the lot's own unit, below zero when it goes out */
    public function move(Lot $lot, string $kind, float $amount, Batch|Making|Boil|null $for = null, string $note = ''): LotMove
    {
        $move = LotMove::query()->create([
            'lot_id' => $lot->id,
            'uid' => Str::ulid()->toString(),
            'kind' => $kind,
            'amount' => round($amount, 3),
            'batch_id' => $for instanceof Batch ? $for->id : null,
            'making_id' => $for instanceof Making ? $for->id : null,
            'boil_id' => $for instanceof Boil ? $for->id : null,
            'by' => self::who(),
            'note' => $note,
            'happened_at' => Carbon::now(),
        ]);
        $this->total($lot);

        return $move;
    }

    /**
     * Takes for a batch, each lot locked and looked at once more.
     *
     * @param  list<array{lot: string, amount: float}>  $takes by lot id
     *
     * @throws LotException when a lot holds less than is wanted of it
     */
    public function take(Batch $batch, array $takes): void
    {
        $lots = Lot::query()->whereIn('uid', array_column($takes, 'lot'))->orderBy('id')->lockForUpdate()->get()->keyBy('uid');
        foreach ($takes as $take) {
            $lot = $lots->get($take['lot']);
            if ($lot === null || (float) $lot->left < $take['amount'] - 0.001) {
                $unit = $lot?->kind->measure() ?? Kind::Mass;
                throw LotException::emptier(
                    $lot->called ?? 'that lot',
                    AmountWriter::plain((float) ($lot->left ?? 0), $unit),
                    AmountWriter::plain($take['amount'], $unit),
                );
            }
            $this->move($lot, 'taken', -$take['amount'], $batch);
        }
    }

    /**
     * A batch discarded before its jar was filled has used nothing: what was taken for it goes back, and is
     * taken again should that be undone.
     */
    public function follow(Batch $batch, bool $used): void
    {
        /** @var list<object{lot_id: int, net: string, taken: string}> $nets */
        $nets = DB::table('lot_moves')
            ->where('house_id', $this->current->house()->id)
            ->where('batch_id', $batch->id)
            // What it was topped up with goes by its own lines.
            ->whereIn('kind', ['taken', 'back'])
            ->groupBy('lot_id')
            ->whereNotIn('lot_id', Lot::withTrashed()->where('kind', LotKind::Bottle)->select('id'))
            ->selectRaw("lot_id, SUM(amount) AS net, SUM(CASE WHEN kind = 'taken' THEN amount ELSE 0 END) AS taken")
            ->get()
            ->all();
        foreach ($nets as $each) {
            $net = (float) $each->net;
            if ($used === $net < -0.0005) {
                continue;
            }
            $lot = Lot::withTrashed()->lockForUpdate()->findOrFail($each->lot_id);
            if (! $used) {
                $this->move($lot, 'back', -$net, $batch, 'discarded before it was filled');
            } else {
                $first = LotMove::query()
                    ->where('batch_id', $batch->id)
                    ->where('lot_id', $lot->id)
                    ->where('kind', 'taken')
                    ->orderBy('id')
                    ->firstOrFail();
                $this->move($lot, 'taken', (float) $first->amount, $batch);
            }
        }
    }

    /**
     * Oil that a jar was topped up with goes out of Stores: of the lot it was filled from where that has some left, else the
     * oldest. What was poured was there, whatever the books say; undone, it comes back.
     *
     * @param  array<string, float>  $wanted mL in all, by carrier
     */
    public function followTopUps(Batch $batch, array $wanted): void
    {
        /** @var Collection<int, string> $topped */
        $topped = LotMove::query()
            ->where('batch_id', $batch->id)
            ->where('kind', 'topped')
            ->groupBy('lot_id')
            ->selectRaw('lot_id, -SUM(amount) AS topped')
            ->pluck('topped', 'lot_id');
        if ($topped->isEmpty() && array_sum($wanted) <= 0) {
            return;
        }
        $lots = Lot::withTrashed()
            ->where('kind', LotKind::Carrier)
            ->where(fn ($query) => $query->whereIn('material', array_keys($wanted))->orWhereIn('id', $topped->keys()))
            ->orderBy('id')
            ->lockForUpdate()
            ->get();
        $filledFrom = LotMove::query()->where('batch_id', $batch->id)->where('kind', 'taken')->pluck('lot_id');
        $now = Carbon::now()->toDateTimeImmutable();
        foreach ($wanted as $carrier => $ml) {
            $ofIt = $lots->where('material', $carrier);
            $more = round($ml - $ofIt->sum(fn (Lot $lot) => (float) ($topped[$lot->id] ?? 0)), 3);
            if ($more < 0) {
                foreach ($ofIt as $lot) {
                    $back = min(-$more, (float) ($topped[$lot->id] ?? 0));
                    $more += $back;
                    $back > 0.0005 && $this->move($lot, 'topped', $back, $batch, 'undone');
                }

                continue;
            }
            $there = $ofIt->filter(fn (Lot $lot) => ! $lot->trashed() && (float) $lot->left > 0);
            $first = $there->first(fn (Lot $lot) => $filledFrom->contains($lot->id))->uid ?? '';
            $core = array_values($there->map(fn (Lot $lot) => $lot->core($now->getTimezone()))->all());
            foreach (Allocation::of($core, $more, $now, $first)->takes as $take) {
                $this->move($there->firstOrFail(fn (Lot $lot) => $lot->uid === $take['lot']->id), 'topped', -$take['amount'], $batch);
            }
        }
    }

    /**
     * Bottles go out of Stores with the filling that took them, and come back should that be undone.
     *
     * @param  array<string, float>  $wanted how many of each lot
     */
    public function followBottles(Batch $batch, array $wanted): void
    {
        /** @var Collection<int, string> $taken */
        $taken = LotMove::query()
            ->where('batch_id', $batch->id)
            ->whereIn('lot_id', Lot::withTrashed()->where('kind', LotKind::Bottle)->select('id'))
            ->groupBy('lot_id')
            ->selectRaw('lot_id, -SUM(amount) AS taken')
            ->pluck('taken', 'lot_id');
        if ($wanted === [] && $taken->isEmpty()) {
            return;
        }
        $lots = Lot::withTrashed()
            ->where('kind', LotKind::Bottle)
            ->where(fn ($query) => $query->whereIn('uid', array_keys($wanted))->orWhereIn('id', $taken->keys()))
            ->lockForUpdate()
            ->get();
        foreach ($lots as $lot) {
            $more = ($wanted[$lot->uid] ?? 0.0) - (float) ($taken[$lot->id] ?? 0);
            if (abs($more) > 0.0005) {
                $this->move($lot, $more > 0 ? 'taken' : 'back', -$more, $batch, $more > 0 ? '' : 'the filling was undone');
            }
        }
    }

    /**
     * Lots go out of Stores with the product or the pot that takes them, by what was weighed, and come back with it.
     *
     * @param  array<string, float>  $wanted how much of each lot, in its own unit
     * @param  bool  $strict whether a lot that holds less refuses it; what was weighed already was there, whatever the books say
     *
     * @throws LotException
     */
    public function followUse(Making|Boil $by, array $wanted, bool $strict): void
    {
        /** @var Collection<int, string> $taken */
        $taken = LotMove::query()
            ->where($by instanceof Making ? 'making_id' : 'boil_id', $by->id)
            ->groupBy('lot_id')
            ->selectRaw('lot_id, -SUM(amount) AS taken')
            ->pluck('taken', 'lot_id');
        if ($wanted === [] && $taken->isEmpty()) {
            return;
        }
        $lots = Lot::withTrashed()
            ->where(fn ($query) => $query->whereIn('uid', array_keys($wanted))->orWhereIn('id', $taken->keys()))
            ->orderBy('id')
            ->lockForUpdate()
            ->get();
        foreach ($lots as $lot) {
            $more = round(($wanted[$lot->uid] ?? 0.0) - (float) ($taken[$lot->id] ?? 0), 3);
            if ($strict && $more > (float) $lot->left + 0.001) {
                $unit = $lot->kind->measure() ?? Kind::Mass;
                throw LotException::emptier(
                    $lot->called,
                    AmountWriter::plain((float) $lot->left, $unit),
                    AmountWriter::plain($more, $unit),
                );
            }
            $more = min($more, max(0.0, (float) $lot->left));
            if (abs($more) > 0.0005) {
                $this->move($lot, $more > 0 ? 'taken' : 'back', -$more, $by);
            }
        }
    }

    /** What is left is what its moves come to; with it, what can be told of the lot without looking again. */
    public function total(Lot $lot): void
    {
        $left = (float) LotMove::query()->where('lot_id', $lot->id)->sum('amount');
        $lot->fill([
            'left' => round($left, 3),
            'is_low' => $lot->low_at !== null && $left <= (float) $lot->low_at,
            'version' => $lot->version + 1,
            'ages_on' => Condition::agesOn($lot->core($this->current->house()->zone()), $this->planning->cupboard())?->format('Y-m-d'),
        ])->save();
    }

    public static function who(): string
    {
        $user = Auth::user();

        return $user instanceof User ? $user->name : 'Warm Kettle';
    }
}
