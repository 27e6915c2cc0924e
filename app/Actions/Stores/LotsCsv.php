<?php

namespace App\Actions\Stores;

use App\Files\CsvException;
use App\Files\CsvTable;
use App\Models\House;
use App\Models\Lot;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Facades\DB;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;

/** Stores as CSV (RFC 4180, UTF-8), out and in. What would happen is shown, row by row, before it does. */
final readonly class LotsCsv
{
    private const MOST_ROWS = 5000;

    /** Shown of a preview; the counts are of all. */
    private const SHOWN = 200;

    public const COLUMNS = ['id', ...LotReader::FIELDS, 'left'];

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
        );

        return DB::transaction(function () use ($table, $do): CsvPreview {
            House::query()
                ->whereKey($this->current->house()->id)
                ->lockForUpdate()
                ->first();
            $reader = $this->keep->reader();
            $known = Lot::query()->whereIn('uid', array_filter(array_column($table->rows, 'id')))->get()->keyBy('uid');
            $counts = ['added' => 0, 'changed' => 0, 'same' => 0, 'refused' => 0];
            $rows = [];
            foreach ($table->rows as $line => $fields) {
                $row = $this->one($line, $fields, $reader, $known->get($fields['id'] ?? ''), $do);
                $counts[$row->what]++;
                // The refused are what somebody must see; of the others the first are enough.
                if ($row->what === 'refused' || count($rows) < self::SHOWN) {
                    $rows[] = $row;
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

    /** @param  array<string, string>  $fields */
    private function one(int $line, array $fields, LotReader $reader, ?Lot $lot, bool $do): CsvRow
    {
        $name = ($fields['called'] ?? '') !== '' ? $fields['called'] : $fields['material'] ?? '';
        if (($fields['id'] ?? '') !== '' && $lot === null) {
            return new CsvRow($line, 'refused', $name, 'No lot here has that id. Leave the id empty to add it.');
        }
        try {
            $read = $reader->read($fields);
            $left = ($fields['left'] ?? '') === '' || $lot === null ? null : $fields['left'];
            if ($lot !== null && self::row($lot) === self::ordered($fields)) {
                return new CsvRow($line, 'same', $name, '');
            }
            if ($lot === null) {
                $do && $this->keep->add($fields, $reader);

                return new CsvRow($line, 'added', $read['lot']->called, '');
            }
            if ($read['lot']->kind !== $lot->kind) {
                return new CsvRow($line, 'refused', $name, 'A lot stays what it is. Take this one out, and enter the other.');
            }
            if ($do) {
                $this->keep->edit($lot, $fields, null, $reader);
            }
            if ($left !== null && abs((float) $left - (float) $lot->left) > 0.0005) {
                if (! is_numeric($left) || (float) $left < 0 || (float) $left > 200_000) {
                    return new CsvRow($line, 'refused', $name, 'What is left must be a plain number in the lot’s own unit.');
                }
                $do && $this->keep->count($lot, $left, 'from a file');
            }

            return new CsvRow($line, 'changed', $read['lot']->called, '');
        } catch (LotsException $refused) {
            return new CsvRow(
                $line,
                'refused',
                $name,
                implode(' ', array_map(fn (array $fault) => $fault['field'].': '.$fault['sentence'], $refused->faults)),
            );
        }
    }

    /** @return list<string> */
    private static function row(Lot $lot): array
    {
        $number = fn (?string $value) => $value === null ? '' : rtrim(rtrim($value, '0'), '.');

        return [
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
        ];
    }

    /**
     * @param  array<string, string>  $fields
     * @return list<string>
     */
    private static function ordered(array $fields): array
    {
        return array_map(fn (string $column) => $fields[$column] ?? '', self::COLUMNS);
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
