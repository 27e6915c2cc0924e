<?php

namespace App\Pages\Trace;

use App\Models\Batch;
use App\Models\Bottle;
use App\Models\LogEntry;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Tin;
use App\Pages\Batch\BatchPresenter;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

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
    ) {}

    public static function from(Lot|Batch|Making $thing): self
    {
        $lotIds = $thing instanceof Lot ? [$thing->id] : [];
        $batchIds = $thing instanceof Batch ? [$thing->id] : [];
        $makingIds = $thing instanceof Making ? [$thing->id] : [];
        // Back from a product to its batches, and from a lot or a batch on into products.
        if ($thing instanceof Making) {
            $batchIds = array_column(self::melted('making_id', [$thing->id]), 0);
        }
        if ($thing instanceof Lot) {
            $into = self::moves(fn (Builder $moves) => $moves->where('lot_id', $thing->id));
            $batchIds = self::ids(array_column($into, 'batch'));
            $makingIds = self::ids(array_column($into, 'making'));
        }
        $melted = self::melted('batch_id', $batchIds);
        if (! ($thing instanceof Making)) {
            $makingIds = self::ids([...$makingIds, ...array_column($melted, 1)]);
        }

        return self::of($lotIds, $batchIds, $makingIds, $melted, ! ($thing instanceof Lot));
    }

    /** All that somebody was given or sold, and what that came from. */
    public static function had(string $person): self
    {
        $makingIds = self::ids(
            Tin::query()
                ->whereIn('state', ['given', 'sold'])
                ->where('to', $person)
                ->pluck('making_id')
                ->all(),
        );
        $bottles = LogEntry::query()->where('kind', 'used')->where('data->to', $person)->pluck('batch_id')->all();
        $batchIds = self::ids([...$bottles, ...array_column(self::melted('making_id', $makingIds), 0)]);
        $melted = array_values(array_filter(self::melted('batch_id', $batchIds), fn (array $each) => in_array($each[1], $makingIds, true)));

        return self::of([], $batchIds, $makingIds, $melted, true);
    }

    /**
     * @param  list<int>  $lotIds
     * @param  list<int>  $batchIds
     * @param  list<int>  $makingIds
     * @param  list<array{int, int}>  $melted
     * @param  bool  $back whether the lots are those that any of it was made of
     */
    private static function of(array $lotIds, array $batchIds, array $makingIds, array $melted, bool $back): self
    {
        $moves = self::moves(
            fn (Builder $moves) => $moves->where(
                fn (Builder $either) => $either->whereIn('batch_id', $batchIds)->orWhereIn('making_id', $makingIds),
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
     * Lots that went somewhere for good: taken, and not given back.
     *
     * @param  \Closure(Builder): mixed  $which
     * @return list<array{lot: int, batch: ?int, making: ?int}>
     */
    private static function moves(\Closure $which): array
    {
        $moves = DB::table('lot_moves')->whereIn('kind', ['taken', 'topped', 'back']);
        $which($moves);
        $found = [];
        $rows = $moves
            ->groupBy('lot_id', 'batch_id', 'making_id')
            ->havingRaw('SUM(amount) < -0.0005')
            ->orderBy('lot_id')
            ->get(['lot_id', 'batch_id', 'making_id']);
        foreach ($rows as $row) {
            $row = (array) $row;
            $of = fn (string $key): ?int => is_int($row[$key] ?? null) ? $row[$key] : null;
            $found[] = ['lot' => $of('lot_id') ?? 0, 'batch' => $of('batch_id'), 'making' => $of('making_id')];
        }

        return $found;
    }

    /**
     * @param  list<array{lot: int, batch: ?int, making: ?int}>  $moves
     * @param  'batch'|'making'  $into
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
