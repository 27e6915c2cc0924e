<?php

namespace App\Pages\Trace;

use App\Models\Batch;
use App\Models\Boil;
use App\Models\BoilEntry;
use App\Models\Bottle;
use App\Models\LogEntry;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Tin;
use App\Pages\Batch\BatchPresenter;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Used;
use Kettle\Boiling\Line\Taken;
use Kettle\Diary\Stage;
use Kettle\Trace\Person;

/** What touches a thing in this house's records, level by level: at most two questions to the database for each. */
final readonly class Followed
{
    /**
     * @param  Collection<int, Lot>  $lots
     * @param  Collection<int, Batch>  $batches
     * @param  Collection<int, Bottle>  $bottles
     * @param  Collection<int, LogEntry>  $used lines of their logbooks by which some of a bottle went somewhere, and that strike such out
     * @param  Collection<int, Making>  $makings
     * @param  Collection<int, Tin>  $tins
     * @param  list<array{int, int}>  $lotInBatch
     * @param  list<array{int, int}>  $lotInMaking
     * @param  list<array{int, int}>  $batchInMaking
     * @param  list<array{int, int}>  $lotInPot
     * @param  list<array{int, int}>  $batchInBatch second charges: whose oil went on herb once more, and as what
     */
    private function __construct(
        public Collection $lots,
        public Collection $batches,
        public Collection $bottles,
        public Collection $used,
        public Collection $makings,
        public Collection $tins,
        public array $lotInBatch,
        public array $lotInMaking,
        public array $batchInMaking,
        public array $batchInBatch,
        public array $lotInPot,
        public FollowedPots $pots,
    ) {}

    public static function from(Lot|Boil|Batch|Making $thing): self
    {
        $lotIds = $thing instanceof Lot ? [$thing->id] : [];
        $batchIds = $thing instanceof Batch ? [$thing->id] : [];
        $makingIds = $thing instanceof Making ? [$thing->id] : [];
        $potIds = $thing instanceof Boil ? [$thing->id] : [];
        // Back from a product to its batches, and from a lot or a batch on into products.
        if ($thing instanceof Making) {
            $batchIds = array_column(self::melted('making_id', [$thing->id]), 0);
        }
        if ($thing instanceof Lot) {
            $into = self::moves(fn (Builder $moves) => $moves->where('lot_id', $thing->id));
            $batchIds = self::ids(array_column($into, 'batch'));
            $makingIds = self::ids(array_column($into, 'making'));
            $potIds = self::ids(array_column($into, 'boil'));
        }
        $potIds = FollowedPots::on($potIds);
        $of = FollowedPots::madeOf($potIds);
        $batchIds = self::ids([...$batchIds, ...$of['batches']]);
        $makingIds = self::ids([...$makingIds, ...$of['makings']]);
        $charged = self::charged($batchIds, ! ($thing instanceof Lot), ! ($thing instanceof Making));
        $batchIds = self::ids([...$batchIds, ...array_merge([], ...$charged)]);
        $melted = self::melted('batch_id', $batchIds);
        if (! ($thing instanceof Making)) {
            $makingIds = self::ids([...$makingIds, ...array_column($melted, 1)]);
        }

        return self::of($lotIds, $potIds, $batchIds, $makingIds, $melted, $charged, ! ($thing instanceof Lot));
    }

    /** All that somebody was given or sold, and what that came from. */
    public static function had(string $person): self
    {
        $key = Person::key($person);
        $makingIds = self::ids(
            self::written(Tin::query()->whereIn('state', ['given', 'sold']), '`to`', $key)
                ->pluck('making_id')
                ->all(),
        );
        $in = "json_value(data, '$.to')";
        $bottles = self::written(LogEntry::query()->where('kind', Used::KIND), $in, $key)
            ->pluck('batch_id')
            ->all();
        $pots = self::written(BoilEntry::query()->where('kind', Taken::KIND), $in, $key)
            ->pluck('boil_id')
            ->all();
        $batchIds = self::ids([...$bottles, ...array_column(self::melted('making_id', $makingIds), 0)]);
        $charged = self::charged($batchIds, true, false);
        $batchIds = self::ids([...$batchIds, ...array_merge([], ...$charged)]);
        $melted = array_values(array_filter(self::melted('batch_id', $batchIds), fn (array $each) => in_array($each[1], $makingIds, true)));

        return self::of([], self::ids($pots), $batchIds, $makingIds, $melted, $charged, true);
    }

    /**
     * Where a name stands, with whatever capitals and spaces.
     *
     * @template T of Model
     *
     * @param  EloquentBuilder<T>  $rows
     * @param  literal-string  $in
     * @return EloquentBuilder<T>
     */
    private static function written(EloquentBuilder $rows, string $in, string $key): EloquentBuilder
    {
        return $rows->whereRaw("lower(trim(regexp_replace({$in}, '[[:space:]]+', ' '))) = ? collate utf8mb4_unicode_ci", [$key]);
    }

    /**
     * @param  list<int>  $lotIds
     * @param  list<int>  $potIds
     * @param  list<int>  $batchIds
     * @param  list<int>  $makingIds
     * @param  list<array{int, int}>  $melted
     * @param  list<array{int, int}>  $charged
     * @param  bool  $back whether the lots are those that any of it was made of
     */
    private static function of(
        array $lotIds,
        array $potIds,
        array $batchIds,
        array $makingIds,
        array $melted,
        array $charged,
        bool $back,
    ): self {
        $pots = FollowedPots::of($potIds, $batchIds, $makingIds, $back);
        $potIds = $pots->boils->modelKeys();
        $moves = self::moves(
            fn (Builder $moves) => $moves->where(
                fn (Builder $either) => $either
                    ->whereIn('batch_id', $batchIds)
                    ->orWhereIn('making_id', $makingIds)
                    ->orWhereIn('boil_id', $potIds),
            ),
        );
        if ($back) {
            $lotIds = self::ids(array_column($moves, 'lot'));
        }

        return new self(
            Lot::withTrashed()->whereIn('id', $lotIds)->orderBy('id')->get(),
            Batch::query()->whereIn('id', $batchIds)->orderBy('id')->get(BatchPresenter::COLUMNS),
            Bottle::query()->whereIn('batch_id', $batchIds)->orderBy('batch_id')->orderBy('number')->get(),
            LogEntry::query()
                ->whereIn('batch_id', $batchIds)
                ->whereIn('kind', ['used', 'undone'])
                ->orderBy('id')
                ->get(['id', 'house_id', 'uid', 'batch_id', 'kind', 'data', 'corrects']),
            Making::query()->whereIn('id', $makingIds)->orderBy('id')->get(Making::LISTED),
            Tin::query()->whereIn('making_id', $makingIds)->orderBy('making_id')->orderBy('number')->get(),
            self::pairs($moves, 'batch', $lotIds),
            self::pairs($moves, 'making', $lotIds),
            array_values(array_filter($melted, fn (array $each) => in_array($each[1], $makingIds, true))),
            $charged,
            self::pairs($moves, 'boil', $lotIds),
            $pots,
        );
    }

    /**
     * Batches whose bottles went into products.
     *
     * @param  'batch_id'|'making_id'  $by
     * @param  list<int>  $ids
     * @return list<array{int, int}> batch and product
     */
    private static function melted(string $by, array $ids): array
    {
        $pairs = [];
        foreach (
            DB::table('making_batches')
                ->whereIn($by, $ids)
                ->orderBy('id')
                ->get(['batch_id', 'making_id']) as $row
        ) {
            $row = (array) $row;
            if (is_int($row['batch_id']) && is_int($row['making_id'])) {
                $pairs[] = [$row['batch_id'], $row['making_id']];
            }
        }

        return $pairs;
    }

    /**
     * Batches whose oil went on fresh herb, one after another, as far as they go.
     *
     * @param  list<int>  $ids
     * @return list<array{int, int}> a batch, and the one made in its oil
     */
    private static function charged(array $ids, bool $back, bool $on): array
    {
        $pairs = [];
        foreach ([...$back ? [true] : [], ...$on ? [false] : []] as $backwards) {
            for ($edge = $ids; $edge !== []; $edge = array_diff(array_column($found, $backwards ? 0 : 1), $ids)) {
                $found = $backwards ? self::madeIn($edge) : self::goneInto($edge);
                $pairs = [...$pairs, ...$found];
            }
        }

        return array_values(array_unique($pairs, SORT_REGULAR));
    }

    /**
     * @param  array<int>  $ids
     * @return list<array{int, int}>
     */
    private static function madeIn(array $ids): array
    {
        $bases = self::begun()
            ->whereIn('id', $ids)
            ->whereNotNull('plan->in_oil')
            ->get(['id', 'house_id', 'plan']);
        $from = Batch::query()
            ->whereIn('uid', $bases->map(fn (Batch $batch) => $batch->plan->base?->batch)->all())
            ->pluck('id', 'uid');
        $pairs = $bases->map(fn (Batch $batch) => [$from->get($batch->plan->base->batch ?? ''), $batch->id])->all();

        return array_values(array_filter($pairs, fn (array $pair) => is_int($pair[0])));
    }

    /**
     * @param  array<int>  $ids
     * @return list<array{int, int}>
     */
    private static function goneInto(array $ids): array
    {
        $lines = LogEntry::query()
            ->whereIn('batch_id', $ids)
            ->where('kind', 'used')
            ->whereNotNull('data->batch')
            ->get(['id', 'house_id', 'batch_id', 'kind', 'data']);
        $uids = $lines->map(fn (LogEntry $entry) => ($line = $entry->line()) instanceof Used ? [$entry->batch_id, $line->batch] : [0, '']);
        $into = self::begun()->whereIn('uid', $uids->pluck(1))->pluck('id', 'uid');
        $pairs = $uids->map(fn (array $each) => [$each[0], $into->get($each[1])])->all();

        return array_values(array_filter($pairs, fn (array $pair) => is_int($pair[1])));
    }

    /** @return EloquentBuilder<Batch> batches that kept what they took: one thrown away before it was filled gave it back */
    private static function begun(): EloquentBuilder
    {
        return Batch::query()->where(fn ($batch) => $batch->where('stage', '!=', Stage::Discarded)->orWhereNotNull('filled_at'));
    }

    /**
     * Lots that went somewhere for good: taken, and not given back.
     *
     * @param  \Closure(Builder): mixed  $which
     * @return list<array{lot: int, batch: ?int, making: ?int, boil: ?int}>
     */
    private static function moves(\Closure $which): array
    {
        $moves = DB::table('lot_moves')->whereIn('kind', ['taken', 'topped', 'back']);
        $which($moves);
        $found = [];
        $rows = $moves
            ->groupBy('lot_id', 'batch_id', 'making_id', 'boil_id')
            ->havingRaw('SUM(amount) < -0.0005')
            ->orderBy('lot_id')
            ->get(['lot_id', 'batch_id', 'making_id', 'boil_id']);
        foreach ($rows as $row) {
            $row = (array) $row;
            $of = fn (string $key): ?int => is_int($row[$key] ?? null) ? $row[$key] : null;
            $found[] = ['lot' => $of('lot_id') ?? 0, 'batch' => $of('batch_id'), 'making' => $of('making_id'), 'boil' => $of('boil_id')];
        }

        return $found;
    }

    /**
     * @param  list<array{lot: int, batch: ?int, making: ?int, boil: ?int}>  $moves
     * @param  'batch'|'making'|'boil'  $into
     * @param  list<int>  $lots
     * @return list<array{int, int}>
     */
    private static function pairs(array $moves, string $into, array $lots): array
    {
        $pairs = [];
        foreach ($moves as $move) {
            if ($move[$into] !== null && in_array($move['lot'], $lots, true)) {
                $pairs[] = [$move['lot'], $move[$into]];
            }
        }

        return $pairs;
    }

    /**
     * @param  array<mixed>  $some
     * @return list<int>
     */
    private static function ids(array $some): array
    {
        return array_values(array_unique(array_filter($some, is_int(...))));
    }
}
