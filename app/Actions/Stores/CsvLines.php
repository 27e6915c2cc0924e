<?php

namespace App\Actions\Stores;

use App\Files\CsvTable;
use App\Models\Lot;
use Illuminate\Support\Collection;
use Kettle\Material\State;
use Kettle\Measure\AmountException;
use Kettle\Measure\AmountWriter;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;
use Kettle\Stores\Stock;

/**
 * Reads the lines of a file about Stores without writing any: what would be added, what changed, what is refused, and what
 * was taken for what. A column that is not in the file is not changed.
 */
final class CsvLines
{
    private const NAMES_AT_ONCE = 500;

    /** So near, two amounts are one: what is kept has three places. */
    private const EQUAL = 0.0005;

    /** @var array<string, int> the line that an id stood in first */
    private array $seen = [];

    /** @var Collection<array-key, Lot> */
    private readonly Collection $known;

    public function __construct(private readonly SaveLot $keep, private readonly LotReader $reader, private readonly CsvTable $table)
    {
        $this->known = Lot::query()->whereIn('uid', array_filter(array_column($table->rows, 'id')))->get()->keyBy('uid');
    }

    /** @return list<CsvLine> in the order of the file */
    public function read(): array
    {
        $lines = [];
        foreach ($this->table->rows as $line => $fields) {
            $lines[$line] = $this->one($line, $fields);
        }
        foreach ($this->table->crooked as $line => $why) {
            $lines[$line] = new CsvLine($line, 'refused', '', $why);
        }
        ksort($lines);

        return $this->withTwins(array_values($lines));
    }

    /** @param  array<string, string>  $fields */
    private function one(int $line, array $fields): CsvLine
    {
        $name = ($fields['called'] ?? '') !== '' ? $fields['called'] : $fields['material'] ?? '';
        $id = $fields['id'] ?? '';
        $refused = fn (string $why) => new CsvLine($line, 'refused', $name, $why);
        $lot = $this->known->get($id);
        if ($id !== '' && $lot === null) {
            return $refused('No lot here has that id. Leave the id empty to add it.');
        }
        if ($id !== '' && isset($this->seen[$id])) {
            return $refused(sprintf('Line %d has this id too. Leave the id empty to add another lot.', $this->seen[$id]));
        }
        $this->seen[$id] = $line;
        if ($lot !== null) {
            $stands = LotsCsv::row($lot);
            $fields = [...$stands, ...array_intersect_key($fields, $stands)];
            if ($fields === $stands) {
                return new CsvLine($line, 'same', $name);
            }
            $changed = array_keys(array_diff_assoc($fields, $stands));
        }
        try {
            $asked = array_intersect_key($fields, array_flip(LotReader::FIELDS));
            $read = $this->reader->read($asked, $id);
            if ($lot !== null && $read['lot']->kind !== $lot->kind) {
                return $refused('A lot stays what it is. Take this one out, and enter the other.');
            }
            $typed = $fields['left'] ?? '';
            // As it stands, nobody counted it: it follows what was got.
            $more = $read['lot']->stock->got - (float) ($lot->got ?? 0);
            $uncounted = (float) ($lot->left ?? 0) + $more;
            $stock = new Stock($read['lot']->stock->got, $uncounted);
            $left =
                $typed === '' || $typed === ($stands['left'] ?? null)
                    ? null
                    : $this->keep->counted($read['lot']->kind, $read['lot']->material, $read['lot']->form, $stock, $typed);
        } catch (LotsException $no) {
            return $refused(implode(' ', array_map(fn (array $fault) => $fault['field'].': '.$fault['sentence'], $no->faults)));
        } catch (AmountException|LotException $no) {
            return $refused('left: '.$no->sentence);
        }
        $changed = array_diff($changed ?? [], ['left', abs($more) <= self::EQUAL ? 'amount' : '']);

        return new CsvLine(
            $line,
            $lot === null ? 'added' : 'changed',
            $read['lot']->called,
            trim($this->changes($changed, $left ?? $uncounted, $lot).' '.$this->takenFor($read['lot'], $fields)),
            $asked,
            $left === null || abs($left - $uncounted) <= self::EQUAL ? null : $left,
            $lot,
            self::twin(
                $read['lot']->kind->value,
                $read['lot']->material,
                $read['lot']->called,
                $read['lot']->stock->got,
                $read['lot']->dates->gotOn?->format('Y-m-d'),
            ),
        );
    }

    /** @param  array<int, string>  $columns that the file changes */
    private function changes(array $columns, float $left, ?Lot $lot): string
    {
        $says = [];
        if ($columns !== []) {
            $says[] = sprintf('Changes %s.', implode(', ', array_map(fn (string $column) => str_replace('_', ' ', $column), $columns)));
        }
        if ($lot !== null && abs($left - (float) $lot->left) > self::EQUAL) {
            $amount = fn (float $of) => $lot->kind->measure() === null ? (string) $of : AmountWriter::plain($of, $lot->kind->measure());
            $says[] = sprintf('What is left becomes %s; here it is %s.', $amount($left), $amount((float) $lot->left));
        }

        return implode(' ', $says);
    }

    /**
     * What the file does not say in so many words.
     *
     * @param  array<string, string>  $fields
     */
    private function takenFor(\Kettle\Stores\Lot $lot, array $fields): string
    {
        $says = [];
        $typed = $fields['material'] ?? '';
        if ($lot->material === '' && in_array($lot->kind, [LotKind::Herb, LotKind::Wax, LotKind::Addition], true)) {
            $meant = $this->reader->names->meant($lot->kind, $typed === '' ? $lot->called : $typed);
            $says[] = 'Not in the Almanac: kept by its name, without cautions.';
            if ($meant !== []) {
                $says[] = sprintf('If %s is meant, write that.', implode(' or ', array_slice($meant, 0, 3)));
            }
        }
        if ($lot->state === State::Dried && ($fields['state'] ?? '') === '') {
            $says[] = 'Taken as dried.';
        }

        return implode(' ', $says);
    }

    /**
     * A file taken in twice doubles what is there, and nothing in it shows that.
     *
     * @param  list<CsvLine>  $lines
     * @return list<CsvLine>
     */
    private function withTwins(array $lines): array
    {
        $new = array_filter($lines, fn (CsvLine $line) => $line->what === 'added');
        $like = [];
        foreach (array_chunk(array_values(array_unique(array_column($new, 'name'))), self::NAMES_AT_ONCE) as $names) {
            $standing = Lot::query()
                ->whereIn('called', $names)
                ->get(['kind', 'material', 'called', 'got', 'got_on']);
            foreach ($standing as $lot) {
                $like[self::twin($lot->kind->value, $lot->material, $lot->called, (float) $lot->got, $lot->got_on?->format('Y-m-d'))] =
                    'One like it is in Stores already.';
            }
        }
        foreach ($new as $at => $line) {
            if (isset($like[$line->twin])) {
                $lines[$at] = $line->saying($like[$line->twin]);
            }
            $like[$line->twin] ??= sprintf('Line %d is the same.', $line->line);
        }

        return array_values($lines);
    }

    private static function twin(string $kind, string $material, string $called, float $got, ?string $on): string
    {
        return implode('|', [$kind, $material, mb_strtolower($called), number_format($got, 3, '.', ''), $on ?? '']);
    }
}
