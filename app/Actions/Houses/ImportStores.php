<?php

namespace App\Actions\Houses;

use App\Actions\Stores\StockLedger;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\LotCheck;
use App\Models\LotMove;
use App\Models\Making;
use App\Models\Recipe;
use App\Models\RecipeVersion;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Reason\Said;
use Kettle\Stores\LotReader;

/**
 * The Stores and recipes of an exported house: what is here already, by id, stays; moves, checks and versions not here yet are added.
 *
 * @phpstan-import-type LotRow from ImportHouse
 * @phpstan-import-type RecipeRow from ImportHouse
 * @phpstan-import-type MoveRow from ImportHouse
 * @phpstan-import-type CheckRow from ImportHouse
 */
final readonly class ImportStores
{
    public function __construct(private CurrentHouse $current, private StockLedger $ledger) {}

    /**
     * @param  iterable<LotRow>  $rows
     * @return int lots added
     */
    public function lots(iterable $rows): int
    {
        /** @var array<string, int> $batches */
        $batches = Batch::query()->pluck('id', 'uid')->all();
        /** @var array<string, int> $makings */
        $makings = Making::query()->pluck('id', 'uid')->all();
        /** @var array<string, int> $boils */
        $boils = Boil::query()->pluck('id', 'uid')->all();
        $added = 0;
        foreach ($rows as $row) {
            $lot = Lot::withTrashed()->where('uid', $row['id'])->first();
            if ($lot === null) {
                $lot = new Lot([
                    'uid' => $row['id'],
                    'left' => 0,
                    // An amount as it was written is a lot's own: what was got, and how it was typed.
                    ...array_intersect_key($row, array_flip([...array_diff(LotReader::FIELDS, ['amount']), 'got', 'typed'])),
                ]);
                $lot->version = 0;
                $lot->save();
                if ($row['retired'] === true) {
                    $lot->delete();
                }
                $added++;
            }
            $this->happened($lot, $row, $batches, $makings, $boils);
        }

        return $added;
    }

    /**
     * @param  iterable<RecipeRow>  $rows
     * @return int recipes added
     */
    public function recipes(iterable $rows): int
    {
        $added = 0;
        foreach ($rows as $row) {
            $recipe = Recipe::withTrashed()->where('uid', $row['id'])->first();
            if ($recipe === null) {
                $recipe = Recipe::query()->create(['uid' => $row['id'], 'name' => $row['versions'][0]['name'], 'version' => 1]);
                if ($row['retired'] === true) {
                    $recipe->delete();
                }
                $added++;
            }
            $known = $recipe->versions()->pluck('number')->all();
            foreach ($row['versions'] as $version) {
                if (! in_array($version['number'], $known, true)) {
                    RecipeVersion::query()->create([
                        'recipe_id' => $recipe->id,
                        ...array_intersect_key($version, array_flip(['number', 'name', 'note', 'wish', 'by'])),
                        'says' => Said::read($version['kept'] ?? $version['says']),
                        'made_at' => Carbon::parse($version['made_at']),
                    ]);
                }
            }
            $newest = $recipe->versions()->orderByDesc('number')->first();
            if ($newest !== null) {
                $recipe->fill(['name' => $newest->name, 'version' => $newest->number])->save();
            }
        }

        return $added;
    }

    /**
     * @param  LotRow  $row
     * @param  array<string, int>  $batches ids by uid
     * @param  array<string, int>  $makings likewise
     * @param  array<string, int>  $boils likewise
     */
    private function happened(Lot $lot, array $row, array $batches, array $makings, array $boils): void
    {
        $known =
            LotMove::query()->where('lot_id', $lot->id)->pluck('lot_id', 'uid')->all() +
            LotCheck::query()->where('lot_id', $lot->id)->pluck('lot_id', 'uid')->all();
        $fresh = fn (mixed $each): bool => is_array($each) && is_string($each['id'] ?? null) && ! isset($known[$each['id']]);
        LotMove::query()->insert(
            array_map(
                fn (array $move) => [
                    ...$this->common($lot, $move),
                    'kind' => $move['kind'],
                    'amount' => $move['amount'],
                    'note' => $move['note'],
                    'batch_id' => $batches[$move['batch'] ?? ''] ?? null,
                    'making_id' => $makings[$move['making'] ?? ''] ?? null,
                    'boil_id' => $boils[$move['boil'] ?? ''] ?? null,
                ],
                array_filter($row['moves'], $fresh),
            ),
        );
        LotCheck::query()->insert(
            array_map(
                fn (array $check) => [
                    ...$this->common($lot, $check),
                    'verdict' => $check['verdict'],
                    'says' => json_encode(Said::read($check['kept'] ?? $check['says'])?->toArray(), JSON_THROW_ON_ERROR),
                    'answers' => json_encode($check['answers'], JSON_THROW_ON_ERROR),
                ],
                array_filter($row['checks'], $fresh),
            ),
        );
        $last = LotCheck::query()->where('lot_id', $lot->id)->orderByDesc('happened_at')->orderByDesc('id')->first();
        $lot->fill(['verdict' => $last?->verdict, 'checked_at' => $last?->happened_at]);
        $this->ledger->total($lot);
    }

    /**
     * @param  MoveRow|CheckRow  $each
     * @return array<string, mixed> what a move and a check have alike
     */
    private function common(Lot $lot, array $each): array
    {
        return [
            'house_id' => $this->current->house()->id,
            'lot_id' => $lot->id,
            'uid' => $each['id'],
            'by' => $each['by'],
            'happened_at' => Carbon::parse($each['happened_at']),
        ];
    }
}
