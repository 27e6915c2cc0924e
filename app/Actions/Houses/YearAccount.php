<?php

namespace App\Actions\Houses;

use App\Files\CsvTable;
use App\House\KitchenFactory;
use App\Models\Batch;
use App\Models\Bottle;
use App\Models\Making;
use App\Models\Tin;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Kettle\Batch\Stored;

/** What was made in a year and what became of it, as CSV (RFC 4180, UTF-8): oils by their bottles, products by their tins. */
final readonly class YearAccount
{
    public const COLUMNS = [
        'made_on',
        'code',
        'what',
        'kind',
        'size_ml',
        'made',
        'here',
        'used',
        'given',
        'sold',
        'thrown',
        'income',
        'cost',
        'cost_each',
        'went_to',
    ];

    public function __construct(private KitchenFactory $kitchens) {}

    /** Written as it is made, so that a large house needs no large memory. */
    public function write(int $year): void
    {
        $out = fopen('php://output', 'w');
        assert($out !== false);
        fputcsv($out, self::COLUMNS, escape: '');
        $zone = $this->kitchens->now()->getTimezone();
        $from = Carbon::create($year, 1, 1, 0, 0, 0, $zone)?->utc();
        $to = Carbon::create($year + 1, 1, 1, 0, 0, 0, $zone)?->utc();
        $line = fn (array $row): int|false => fputcsv(
            $out,
            array_map(fn (mixed $cell) => CsvTable::harmless(is_scalar($cell) ? (string) $cell : ''), $row),
            escape: '',
        );
        Batch::query()
            ->where('bottled_at', '>=', $from)
            ->where('bottled_at', '<', $to)
            ->with('bottles')
            ->orderBy('bottled_at')
            ->orderBy('id')
            ->chunk(200, fn (Collection $batches) => $batches->each(fn (Batch $batch) => array_map($line, $this->oil($batch))));
        Making::query()
            ->where('poured_at', '>=', $from)
            ->where('poured_at', '<', $to)
            ->with('rows')
            ->orderBy('poured_at')
            ->orderBy('id')
            ->chunk(200, fn (Collection $makings) => $makings->each(fn (Making $making) => array_map($line, $this->product($making))));
        fclose($out);
    }

    /** @return list<array<string, string|int|float|null>> a line for each size */
    private function oil(Batch $batch): array
    {
        $cost = $batch->plan->figureOrNull('cost_per_100');
        $lines = [];
        foreach ($batch->bottles->groupBy('capacity_ml') as $bottles) {
            $ml = (float) ($bottles->first()->capacity_ml ?? 0);
            $each = $cost === null ? null : round(($cost * $ml) / 100, 2);
            $lines[] = $this->line(
                $batch->bottled_at,
                $batch->code,
                $batch->name,
                'oil',
                $ml,
                array_values($bottles->map(fn (Bottle $bottle) => [$bottle->state, $bottle->to, null])->all()),
                $each,
            );
        }

        return $lines;
    }

    /** @return list<array<string, string|int|float|null>> a line for each size */
    private function product(Making $making): array
    {
        $each = (new Stored($making->plan->document))->part('figures')->part('cost_per_tin')->numberOrNull('value');
        $lines = [];
        foreach ($making->rows->groupBy('ml') as $tins) {
            $lines[] = $this->line(
                $making->poured_at,
                $making->code,
                $making->name,
                'product',
                (float) ($tins->first()->ml ?? 0),
                array_values($tins->map(fn (Tin $tin) => [$tin->state, $tin->to, $tin->price])->all()),
                $each,
            );
        }

        return $lines;
    }

    /**
     * @param  list<array{string, string, ?string}>  $each state, to whom, and for how much
     * @return array<string, string|int|float|null>
     */
    private function line(?Carbon $on, string $code, string $what, string $kind, float $ml, array $each, ?float $cost): array
    {
        $states = array_count_values(array_column($each, 0));
        $prices = array_filter(array_column($each, 2), fn (?string $price) => $price !== null);
        $to = array_filter(array_map(fn (array $one) => in_array($one[0], ['given', 'sold'], true) ? $one[1] : '', $each));

        return [
            'made_on' => $on === null ? '' : $this->kitchens->local($on)->format('Y-m-d'),
            'code' => $code,
            'what' => $what,
            'kind' => $kind,
            'size_ml' => $ml,
            'made' => count($each),
            'here' => $states['in'] ?? 0,
            'used' => $states['used'] ?? 0,
            'given' => $states['given'] ?? 0,
            'sold' => $states['sold'] ?? 0,
            'thrown' => $states['thrown'] ?? 0,
            'income' => $prices === [] ? null : array_sum(array_map(floatval(...), $prices)),
            'cost' => $cost === null ? null : round($cost * count($each), 2),
            'cost_each' => $cost,
            'went_to' => implode('; ', array_unique($to)),
        ];
    }
}
