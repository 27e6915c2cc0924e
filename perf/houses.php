<?php

/* The houses that are measured: so many batches, lots and products, a few made by doing and the rest copied in the database. */

use App\Actions\Batches\RecordTask;
use App\Actions\Batches\StartBatch;
use App\Actions\Houses\CreateHouse;
use App\Actions\Melt\BeginMaking;
use App\Actions\Melt\WorkAtPot;
use App\Models\Batch;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require_once __DIR__.'/rows.php';

/** What may be begun of what any house has. */
const SALVE = [
    'product' => 'salve',
    'oils' => ['sunflower', 'olive', 'jojoba'],
    'butters' => [['id' => 'shea', 'share' => 0.05]],
    'essential_oils' => [['id' => 'lavender', 'percent' => 1]],
    'firmness' => 'firm',
    'tins' => [['ml' => 60, 'count' => 6]],
];

/** A house with so many batches: one made by doing, the rest copied in the database with their days spread. */
function house(User $keeper, int $batches): House
{
    $house = app(CreateHouse::class)($keeper, ['name' => "House of {$batches}", 'time_zone' => 'Europe/London', 'measures' => 'us']);
    app(CurrentHouse::class)->within($house, function () use ($batches): void {
        $first = app(StartBatch::class)(['method' => 'cold'] + WISH, 'the bench');
        app(RecordTask::class)($first, 'fill', 'done', null, null);
        $row = rowToCopy('batches', $first->id);
        $tasks = DB::table('tasks')->where('batch_id', $first->id)->get();
        // A house that has been going for years: one jar in twenty is open, the rest are bottled.
        foreach (array_chunk(range(2, $batches), 250) as $numbers) {
            DB::table('batches')->insert(
                array_map(
                    fn (int $n) => [
                        ...$row,
                        'id' => null,
                        'uid' => Str::lower(Str::ulid()->toString()),
                        'code' => sprintf('26-%05d', $n),
                        'stage' => $n % 20 === 0 || $n < 12 ? 'steeping' : 'bottled',
                        'strain_at' => now()
                            ->subDays(10)
                            ->addHours($n % 700),
                        'bottled_at' => now()->subDays($n % 900),
                        'best_before' => now()
                            ->addDays($n % 400)
                            ->toDateString(),
                    ],
                    $numbers,
                ),
            );
        }
        foreach (
            Batch::query()
                ->where('stage', 'steeping')
                ->where('id', '!=', $first->id)
                ->get(['id'])
                ->chunk(100) as $chunk
        ) {
            $rows = [];
            foreach ($chunk as $batch) {
                foreach ($tasks as $task) {
                    $rows[] = [
                        ...(array) $task,
                        'id' => null,
                        'batch_id' => $batch->id,
                        'due_at' => now()
                            ->subDays(3)
                            ->addHours($batch->id % 400),
                    ];
                }
            }
            DB::table('tasks')->insert($rows);
        }
        products(max(2, intdiv($batches, 5)));
    });

    return $house;
}

/** Stores of so many lots, a quarter of them of what the bench's wish is made of. */
function lots(House $house, int $lots): void
{
    app(CurrentHouse::class)->within($house, function () use ($house, $lots): void {
        $kinds = [
            ['herb', 'marshmallow-root', 'root', 'dried'],
            ['carrier', 'sunflower', null, null],
            ['herb', 'calendula', 'flower-heads', 'dried'],
            ['carrier', 'olive', null, null],
            ['wax', 'beeswax', null, null],
            ['herb', 'yarrow', 'flower-heads', 'dried'],
            ['carrier', 'sesame', null, null],
            ['herb', 'sage', 'thin-leaf', 'dried'],
        ];
        foreach (array_chunk(range(1, $lots), 250) as $numbers) {
            DB::table('lots')->insert(
                array_map(
                    fn (int $n) => [
                        'house_id' => $house->id,
                        'uid' => Str::lower(Str::ulid()->toString()),
                        'kind' => $kinds[$n % 8][0],
                        'material' => $kinds[$n % 8][1],
                        'called' => $kinds[$n % 8][1].' '.$n,
                        'form' => $kinds[$n % 8][2],
                        'state' => $kinds[$n % 8][3],
                        'got' => 500,
                        'left' => $n % 3 === 0 ? 0 : 100 + ($n % 400),
                        'typed' => '500',
                        'low_at' => 70,
                        'price' => 5,
                        'best_before' => now()
                            ->addDays($n % 900)
                            ->toDateString(),
                        'ages_on' => now()
                            ->addDays(($n % 900) - 30)
                            ->toDateString(),
                        'allergens' => '[]',
                        'note' => '',
                        'created_at' => now(),
                        'updated_at' => now(),
                    ],
                    $numbers,
                ),
            );
        }
    });
}

/** So many products, of six tins each: one made by doing, the rest copied in the database; one in twenty is in the pot. */
function products(int $products): void
{
    $first = app(BeginMaking::class)(SALVE);
    app(WorkAtPot::class)->weigh($first, 'beeswax', null);
    app(WorkAtPot::class)->pour($first, [['ml' => 60.0, 'count' => 6]], null, 'the dresser');
    $row = rowToCopy('makings', $first->id);
    $tins = DB::table('tins')->where('making_id', $first->id)->get();
    foreach (array_chunk(range(2, $products), 250) as $numbers) {
        DB::table('makings')->insert(
            array_map(
                fn (int $n) => [
                    ...$row,
                    'id' => null,
                    'uid' => Str::lower(Str::ulid()->toString()),
                    'code' => sprintf('P26-%05d', $n),
                    'stage' => $n % 20 === 0 ? 'making' : 'poured',
                    'begun_at' => now()->subDays($n % 900),
                    'best_before' => now()
                        ->addDays($n % 400)
                        ->toDateString(),
                ],
                $numbers,
            ),
        );
    }
    foreach (DB::table('makings')->where('house_id', $row['house_id'])->where('id', '!=', $first->id)->pluck('id')->chunk(100) as $ids) {
        $rows = [];
        foreach ($ids as $id) {
            foreach ($tins as $tin) {
                $rows[] = [...(array) $tin, 'id' => null, 'making_id' => $id];
            }
        }
        DB::table('tins')->insert($rows);
    }
}
