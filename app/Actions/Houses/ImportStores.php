<?php

namespace App\Actions\Houses;

use App\Actions\Stores\StockLedger;
use App\Models\Batch;
use App\Models\Lot;
use App\Models\LotCheck;
use App\Models\LotMove;
use App\Models\Recipe;
use App\Models\RecipeVersion;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Kettle\Reason\Said;
use Kettle\Stores\LotReader;

/** The Stores and recipes of an exported house: what is here already, by id, stays; moves, checks and versions not here yet are added. */
final readonly class ImportStores
{
    public function __construct(private CurrentHouse $current, private StockLedger $ledger) {}

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return int lots added
     */
    public function lots(array $rows): int
    {
        $here = Lot::withTrashed()->get()->keyBy('uid');
        $batches = Batch::query()->pluck('id', 'uid');
        $added = 0;
        foreach ($rows as $row) {
            $lot = $here->get((string) $row['id']);
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
            $this->happened($lot, $row, $batches->all());
        }

        return $added;
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return int recipes added
     */
    public function recipes(array $rows): int
    {
        $here = Recipe::withTrashed()->with('versions')->get()->keyBy('uid');
        $added = 0;
        foreach ($rows as $row) {
            /** @var list<array<string, mixed>> $versions */
            $versions = $row['versions'];
            $recipe = $here->get((string) $row['id']);
            if ($recipe === null) {
                $recipe = Recipe::query()->create(['uid' => $row['id'], 'name' => $versions[0]['name'], 'version' => 1]);
                if ($row['retired'] === true) {
                    $recipe->delete();
                }
                $added++;
            }
            $known = $recipe->versions()->pluck('number')->all();
            foreach ($versions as $version) {
                if (! in_array($version['number'], $known, true)) {
                    RecipeVersion::query()->create([
                        'recipe_id' => $recipe->id,
                        ...array_intersect_key($version, array_flip(['number', 'name', 'note', 'wish', 'by'])),
                        'says' => Said::read($version['kept'] ?? $version['says']),
                        'made_at' => Carbon::parse((string) $version['made_at']),
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
     * @param  array<string, mixed>  $row
     * @param  array<string, int>  $batches ids by uid
     */
    private function happened(Lot $lot, array $row, array $batches): void
    {
        $house = $this->current->house()->id;
        /** @var list<array<string, mixed>> $moves */
        $moves = $row['moves'];
        /** @var list<array<string, mixed>> $checks */
        $checks = $row['checks'];
        $known = array_fill_keys(
            [
                ...LotMove::query()->where('lot_id', $lot->id)->pluck('uid')->all(),
                ...LotCheck::query()->where('lot_id', $lot->id)->pluck('uid')->all(),
            ],
            true,
        );
        $fresh = fn (array $rows) => array_values(array_filter($rows, fn (array $each) => ! isset($known[$each['id']])));
        $common = fn (array $each) => [
            'house_id' => $house,
            'lot_id' => $lot->id,
            'uid' => $each['id'],
            'by' => $each['by'],
            'happened_at' => Carbon::parse((string) $each['happened_at']),
        ];
        LotMove::query()->insert(
            array_map(
                fn (array $move) => [
                    ...$common($move),
                    'kind' => $move['kind'],
                    'amount' => $move['amount'],
                    'note' => $move['note'],
                    'batch_id' => $batches[(string) $move['batch']] ?? null,
                ],
                $fresh($moves),
            ),
        );
        LotCheck::query()->insert(
            array_map(
                fn (array $check) => [
                    ...$common($check),
                    'verdict' => $check['verdict'],
                    'says' => json_encode(Said::read($check['kept'] ?? $check['says'])?->toArray(), JSON_THROW_ON_ERROR),
                    'answers' => json_encode($check['answers'], JSON_THROW_ON_ERROR),
                ],
                $fresh($checks),
            ),
        );
        $last = LotCheck::query()->where('lot_id', $lot->id)->orderByDesc('happened_at')->orderByDesc('id')->first();
        $lot->fill(['verdict' => $last?->verdict, 'checked_at' => $last?->happened_at]);
        $this->ledger->total($lot);
    }
}
