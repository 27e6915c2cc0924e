<?php

namespace App\Actions\Stores;

use App\Files\CsvException;
use App\Files\CsvTable;
use App\Models\House;
use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;
use Kettle\Stores\LotReader;

/** Stores as CSV (RFC 4180, UTF-8), out and in. What would happen is shown, row by row, before it does. */
final readonly class LotsCsv
{
    private const MOST_ROWS = 5000;

    /** Shown of a preview; the counts are of all. */
    private const SHOWN = 200;

    public const COLUMNS = ['id', ...LotReader::FIELDS, 'left'];

    /** What people call these columns in lists of their own: common practice, no source. */
    private const ALSO = [
        'type' => 'kind',
        'name' => 'called',
        'herb' => 'called',
        'item' => 'called',
        'quantity' => 'amount',
        'qty' => 'amount',
        'weight' => 'amount',
        'cost' => 'price',
        'paid' => 'price',
        'supplier' => 'got_where',
        'source' => 'got_where',
        'where' => 'got_where',
        'date' => 'got_on',
        'bought_on' => 'got_on',
        'got' => 'got_on',
        'opened' => 'opened_on',
        'bbe' => 'best_before',
        'bbd' => 'best_before',
        'best_before_date' => 'best_before',
        'use_by' => 'best_before',
        'expiry' => 'best_before',
        'notes' => 'note',
        'remaining' => 'left',
    ];

    public function __construct(private SaveLot $keep, private CurrentHouse $current) {}

    /** Written as it is made, so that a large house needs no large memory. */
    public function write(): void
    {
        $out = fopen('php://output', 'w');
        assert($out !== false);
        fputcsv($out, self::COLUMNS, escape: '');
        Lot::query()
            ->orderBy('kind')
            ->orderBy('called')
            ->orderBy('id')
            ->lazy(500)
            ->each(fn (Lot $lot) => fputcsv($out, array_map(CsvTable::harmless(...), self::row($lot)), escape: ''));
        fclose($out);
    }

    /**
     * @param  bool  $do false only says what would happen
     *
     * @throws CsvException when it cannot be read as our columns
     */
    public function read(string $bytes, bool $do): CsvPreview
    {
        $table = CsvTable::read(
            $bytes,
            ['kind', 'material', 'called', 'amount'],
            [['kind'], ['amount'], ['material', 'called']],
            self::COLUMNS,
            self::MOST_ROWS,
            self::ALSO,
        )->withDays(['got_on', 'opened_on', 'best_before']);

        return DB::transaction(function () use ($table, $do): CsvPreview {
            House::query()
                ->whereKey($this->current->house()->id)
                ->lockForUpdate()
                ->first();
            $reader = $this->keep->reader();
            $lines = (new CsvLines($this->keep, $reader, $table))->read();
            $counts = ['added' => 0, 'changed' => 0, 'same' => 0, 'refused' => 0];
            $rows = [];
            foreach ($lines as $line) {
                $do && $this->take($line, $reader);
                $counts[$line->what]++;
                // The refused are what somebody must see; of the others the first are enough.
                if ($line->what === 'refused' || count($rows) < self::SHOWN) {
                    $rows[] = $line->row();
                }
            }

            return new CsvPreview(
                $do,
                $counts['added'],
                $counts['changed'],
                $counts['same'],
                $counts['refused'],
                array_slice($rows, 0, 2 * self::SHOWN),
                $table->notes,
                $this->says($counts, $do),
            );
        });
    }

    private function take(CsvLine $line, LotReader $reader): void
    {
        $lot = match ($line->what) {
            'added' => $this->keep->add($line->fields, $reader),
            'changed' => $line->lot === null ? null : $this->keep->edit($line->lot, $line->fields, null, $reader),
            default => null,
        };
        if ($lot !== null && $line->left !== null) {
            $this->keep->setLeft($lot, $line->left, 'filed');
        }
    }

    /** @return array<string, string> a lot as a line of the file, by column */
    public static function row(Lot $lot): array
    {
        $number = fn (?string $value) => $value === null ? '' : rtrim(rtrim($value, '0'), '.');

        return array_combine(self::COLUMNS, [
            $lot->uid,
            $lot->kind->value,
            $lot->material !== '' ? $lot->material : $lot->called,
            $lot->called,
            $lot->part,
            $lot->form ?? '',
            $lot->state->value ?? '',
            $number($lot->got).($lot->kind->measure() === null ? '' : ' '.$lot->kind->measure()->value),
            $lot->low_at === null ? '' : $number($lot->low_at),
            $lot->price === null ? '' : $number($lot->price),
            $lot->got_how,
            $lot->got_where,
            $lot->got_on?->format('Y-m-d') ?? '',
            $lot->opened_on?->format('Y-m-d') ?? '',
            $lot->best_before?->format('Y-m-d') ?? '',
            $lot->food_grade ? 'yes' : 'no',
            implode('; ', $lot->allergens),
            $lot->note,
            $number($lot->left) === '' ? '0' : $number($lot->left),
        ]);
    }

    /** @param  array{added: int, changed: int, same: int, refused: int}  $counts */
    private function says(array $counts, bool $done): string
    {
        $words = [];
        foreach (['added' => 'added', 'changed' => 'changed', 'same' => 'left as they are', 'refused' => 'refused'] as $what => $word) {
            if ($counts[$what] > 0) {
                $words[] = $counts[$what].' '.$word;
            }
        }

        return ($done ? 'Done: ' : 'Would be: ').implode(', ', $words).'.';
    }
}
