<?php

/*
 * What the press costs: the best filling at its worst, what is learned from thousands of batches, and a
 * sheet of labels.
 */

use App\Labels\LabelSheet;
use App\Labels\LabelSize;
use App\Models\BatchYield;
use App\Models\Bottle;
use App\Models\House;
use App\Responses\Press\LabelLine;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Kettle\Infusion\YieldHistory;
use Kettle\Material\Tables;
use Kettle\Vessel\BestFilling;

/**
 * @param  \Closure(): mixed  $do
 * @return array<string, mixed> the slowest of some rounds, and the most memory
 */
function atWorst(Closure $do, int $rounds, float $aimMs, ?int $aimMb = null): array
{
    $times = [];
    $before = memory_get_usage();
    memory_reset_peak_usage();
    for ($i = 0; $i < $rounds; $i++) {
        $from = hrtime(true);
        $do();
        $times[] = (hrtime(true) - $from) / 1e6;
    }

    return [
        ...summary($times),
        'slowest_ms' => round(max([0.0, ...$times]), 2),
        'memory_mb' => round((memory_get_peak_usage() - $before) / 1e6, 1),
        'aim_ms' => $aimMs,
    ] + ($aimMb === null ? [] : ['aim_memory_mb' => $aimMb]);
}

/**
 * Twelve sizes that share no measure, few of each, so that no filling comes out even; and 20 L.
 *
 * @return array<string, mixed>
 */
function theBestFilling(): array
{
    $sizes = array_map(
        fn (float $ml, int $i) => ['id' => "s{$i}", 'capacity' => $ml, 'stock' => 20 + 7 * $i, 'fixed' => 0],
        [5.1, 7.3, 10.7, 14.9, 15.1, 29.6, 50.3, 59.1, 100.7, 118.3, 236.6, 473.2],
        range(0, 11),
    );

    return atWorst(fn () => BestFilling::of(19_999.9, $sizes), 25, 50);
}

/** @return array<string, mixed> */
function whatFiveThousandBatchesTeach(): array
{
    $batches = array_map(
        fn (int $i) => ['id' => (string) $i, 'oil_ml' => 350.0, 'out_ml' => 255.0 + ($i % 37), 'dry_g' => 70.0],
        range(1, 5000),
    );

    return atWorst(fn () => (new YieldHistory(Tables::shipped()))->of('squeezed', $batches), 25, 50);
}

/** @return array<string, mixed> */
function aSheetOfTwoHundredLabels(): array
{
    $size = LabelSize::named(LabelSize::USUAL, Tables::shipped());
    $bottles = array_map(fn (int $number) => (new Bottle())->forceFill(['number' => $number, 'filled_ml' => '50']), range(1, 200));
    $lines = array_map(
        fn (string $id, string $text) => new LabelLine($id, $text),
        ['title', 'best_before', 'cautions', 'herb', 'oil', 'days', 'code'],
        [
            'Calendula and self-heal oil',
            'Best before 2 Nov 2027',
            'Daisy family: try a little first. For the skin only, not to be eaten.',
            'Calendula, flower head, dried (Calendula officinalis); Self-heal, flowering top, dried (Prunella vulgaris)',
            'in olive oil 60 %, jojoba 40 %',
            'Made 9 Oct 2026, strained 6 Nov 2026, bottled 7 Nov 2026',
            '26-003',
        ],
    );

    return atWorst(
        fn () => (new LabelSheet())->labels(
            $size,
            $lines,
            array_map(LabelSheet::net(...), $bottles),
            'http://127.0.0.1:33351/h/01kxyz00000000000000000000/batch/01kxyz00000000000000000001',
            5,
        ),
        5,
        2000,
        96,
    );
}

/** As many batches strained of one form, so that a plan has them all to learn from. */
function learned(House $house): void
{
    /** @var Collection<int, int> $batches */
    $batches = DB::table('batches')->where('house_id', $house->id)->pluck('id');
    foreach ($batches->chunk(500) as $chunk) {
        DB::table((new BatchYield())->getTable())->insert(
            $chunk
                ->map(
                    fn (int $id) => [
                        'house_id' => $house->id,
                        'batch_id' => $id,
                        'form' => 'root',
                        'way' => 'squeezed',
                        'oil_ml' => 350,
                        'out_ml' => 255 + ($id % 37),
                        'dry_g' => 70,
                        'uptake' => (90 - ($id % 37)) / 70,
                        'variance' => 0.0466,
                        'strained_at' => now()->subHours($id % 9000),
                    ],
                )
                ->all(),
        );
    }
    DB::table('yield_sums')->insertUsing(
        ['house_id', 'form', 'way', 'batches', 'weight', 'weighted'],
        BatchYield::query()
            ->withoutGlobalScopes()
            ->where('house_id', $house->id)
            ->groupBy('house_id', 'form', 'way')
            ->selectRaw('house_id, form, way, COUNT(*), SUM(1 / variance), SUM(uptake / variance)'),
    );
}
