<?php

namespace App\Pages\Trace;

use App\Actions\Boil\PotsUsed;
use App\Models\Boil;
use App\Models\BoilEntry;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use Kettle\Batch\Line\Undone;
use Kettle\Boiling\Line\Taken;

/** Pots that are boiled down, and what went into them and came of them: other pots, products, oils that were bottled. */
final readonly class FollowedPots
{
    /**
     * @param  Collection<int, Boil>  $boils
     * @param  list<array{int, int}>  $inPot a pot, and the one it was poured into
     * @param  list<array{int, int}>  $inMaking
     * @param  list<array{int, int}>  $inBatch
     * @param  array<int, list<string>>  $given to whom some of each was given
     */
    private function __construct(
        public Collection $boils,
        public array $inPot,
        public array $inMaking,
        public array $inBatch,
        public array $given,
    ) {}

    /**
     * Some pots, and all they were poured into, pot after pot.
     *
     * @param  list<int>  $pots
     * @return list<int>
     */
    public static function on(array $pots): array
    {
        for ($edge = $pots; $edge !== [];) {
            $edge = array_values(array_diff(array_column(self::pairs('boil_id', $edge, 'into_boil_id'), 1), $pots));
            $pots = [...$pots, ...$edge];
        }

        return $pots;
    }

    /**
     * What came of them.
     *
     * @param  list<int>  $pots
     * @return array{batches: list<int>, makings: list<int>}
     */
    public static function madeOf(array $pots): array
    {
        return [
            'batches' => array_column(self::bottled('boils', $pots), 1),
            'makings' => array_column(self::pairs('boil_id', $pots, 'making_id'), 1),
        ];
    }

    /**
     * With all that batches and products were made of, where it is followed back.
     *
     * @param  list<int>  $pots
     * @param  list<int>  $batches
     * @param  list<int>  $makings
     */
    public static function of(array $pots, array $batches, array $makings, bool $back): self
    {
        if ($back) {
            $pots = PotsUsed::back(
                array_values(
                    array_unique([
                        ...$pots,
                        ...array_column(self::bottled('batches', $batches), 0),
                        ...array_column(self::pairs('making_id', $makings, 'making_id'), 0),
                    ]),
                ),
            );
        }

        return new self(
            Boil::query()->whereIn('id', $pots)->orderBy('id')->get(),
            self::pairs('boil_id', $pots, 'into_boil_id'),
            self::pairs('boil_id', $pots, 'making_id'),
            self::bottled('boils', $pots),
            self::given($pots),
        );
    }

    /**
     * @param  list<int>  $pots
     * @return array<int, list<string>> to whom some of each was given, as it was written
     */
    private static function given(array $pots): array
    {
        if ($pots === []) {
            return [];
        }
        $entries = BoilEntry::query()
            ->whereIn('boil_id', $pots)
            ->whereIn('kind', [Taken::KIND, Undone::KIND])
            ->orderBy('id')
            ->get(['id', 'house_id', 'uid', 'boil_id', 'kind', 'data', 'corrects']);
        $struck = BoilEntry::corrected($entries);
        $given = [];
        foreach ($entries as $entry) {
            $line = $entry->line();
            if ($line instanceof Taken && $line->how === 'given' && ! isset($struck[$entry->uid])) {
                $given[$entry->boil_id][] = $line->to;
            }
        }

        return $given;
    }

    /**
     * @param  'boil_id'|'making_id'  $by
     * @param  array<int>  $ids
     * @param  'into_boil_id'|'making_id'  $into
     * @return list<array{int, int}> a pot, and what it went into
     */
    private static function pairs(string $by, array $ids, string $into): array
    {
        $pairs = [];
        foreach ($ids === [] ? [] : DB::table('boil_takes')->whereIn($by, $ids)->whereNotNull($into)->orderBy('id')->get() as $row) {
            $row = (array) $row;
            if (is_int($row['boil_id']) && is_int($row[$into])) {
                $pairs[] = [$row['boil_id'], $row[$into]];
            }
        }

        return $pairs;
    }

    /**
     * Pots whose oil was bottled.
     *
     * @param  'boils'|'batches'  $by
     * @param  list<int>  $ids
     * @return list<array{int, int}> a pot, and its batch
     */
    private static function bottled(string $by, array $ids): array
    {
        $pairs = [];
        $rows =
            $ids === []
                ? []
                : DB::table('boils')
                    ->join(
                        'batches',
                        fn (JoinClause $join) => $join->on('batches.house_id', 'boils.house_id')->on('batches.uid', 'boils.batch'),
                    )
                    ->whereIn("{$by}.id", $ids)
                    ->orderBy('boils.id')
                    ->get(['boils.id as pot', 'batches.id as oil']);
        foreach ($rows as $row) {
            $row = (array) $row;
            if (is_int($row['pot']) && is_int($row['oil'])) {
                $pairs[] = [$row['pot'], $row['oil']];
            }
        }

        return $pairs;
    }
}
