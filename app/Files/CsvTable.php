<?php

namespace App\Files;

use Kettle\Time\DayOrder;

/**
 * CSV as people save it: comma, semicolon or tab; UTF-8, UTF-16 or Windows-1252. Cells by column name,
 * rows by the line of the file they begin on.
 */
final readonly class CsvTable
{
    private const DELIMITERS = [',' => 'commas', ';' => 'semicolons', "\t" => 'tabs'];

    /**
     * @param  list<string>  $columns those of the file that mean something
     * @param  array<int, array<string, string>>  $rows
     * @param  array<int, string>  $crooked why a line cannot be told into its columns; such a line is not among the rows
     * @param  list<string>  $notes what was taken for what
     */
    private function __construct(public array $columns, public array $rows, public array $crooked, public array $notes) {}

    /**
     * @param  list<string>  $wanted columns, as they are asked for when one is missing
     * @param  list<list<string>>  $must of each of these, one column must be there
     * @param  list<string>  $known all columns that mean something
     * @param  array<string, string>  $also other names that columns go by, as "best_before" is written, and what they are here
     *
     * @throws CsvException
     */
    public static function read(string $bytes, array $wanted, array $must, array $known, int $most, array $also = []): self
    {
        [$text, $notes] = self::decode($bytes);
        // Some spreadsheets write what is between the columns before them; and empty lines may stand first.
        $before = preg_match('/^\n*(?:sep=(.)\n)?\n*/', $text, $m) === 1 ? $m[0] : '';
        $begins = substr_count($before, "\n") + 1;
        $text = substr($text, strlen($before));
        $head = (string) strtok($text, "\n");
        if (trim($head) === '') {
            throw CsvException::empty();
        }
        $delimiter = isset($m[1], self::DELIMITERS[$m[1]]) ? $m[1] : ',';
        foreach (array_keys(self::DELIMITERS) as $each) {
            $delimiter = substr_count($head, $each) > substr_count($head, $delimiter) ? $each : $delimiter;
        }
        $stream = fopen('php://temp', 'r+');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);
        $typed = array_map(self::column(...), fgetcsv($stream, null, $delimiter, '"', '') ?: []);
        $names = array_map(fn (string $name) => in_array($name, $known, true) ? $name : $also[$name] ?? $name, $typed);
        if (array_filter($must, fn (array $any) => array_intersect($any, $names) === []) !== []) {
            throw CsvException::columns($wanted, mb_substr(implode(', ', array_filter($typed)), 0, 120));
        }
        $twice = array_keys(array_filter(array_count_values(array_intersect($names, $known)), fn (int $times) => $times > 1));
        if ($twice !== []) {
            throw CsvException::twice($twice[0]);
        }
        if ($delimiter !== ',') {
            $notes[] = sprintf('Read with %s between the columns.', self::DELIMITERS[$delimiter]);
        }
        $others = array_diff_assoc($typed, $names);
        if ($others !== []) {
            $read = array_map(
                fn (string $other, int $at) => sprintf('“%s” is read as %s', str_replace('_', ' ', $other), $names[$at]),
                $others,
                array_keys($others),
            );
            $notes[] = implode(', ', $read).'.';
        }
        $strange = array_values(array_filter(array_diff($names, $known)));
        if ($strange !== []) {
            $notes[] = 'Not read: '.mb_substr(implode(', ', $strange), 0, 160).'.';
        }
        [$rows, $crooked] = self::rows($stream, $delimiter, $names, $most, $begins);

        return new self(array_values(array_intersect($names, $known)), $rows, $crooked, $notes);
    }

    /**
     * The same with days as 2026-07-20 in such columns, which may have an hour behind them. Whether the day or the month is
     * written first is told by all the days of the file together; what may be one of two days stays as it is written.
     *
     * @param  list<string>  $columns
     */
    public function withDays(array $columns): self
    {
        $columns = array_values(array_intersect($columns, $this->columns));
        $days = array_merge([], ...array_map(fn (string $column) => array_column($this->rows, $column), $columns));
        $order = DayOrder::shownBy($days);
        $rows = $this->rows;
        foreach ($rows as $line => $row) {
            foreach ($columns as $column) {
                $rows[$line][$column] = DayOrder::plain($row[$column], $order);
            }
        }
        $notes = match ($order) {
            DayOrder::DayFirst => ['Days are read with the day first, as some of them can be read no other way.'],
            DayOrder::MonthFirst => ['Days are read with the month first, as some of them can be read no other way.'],
            null => [],
        };

        return new self($this->columns, $rows, $this->crooked, [...$this->notes, ...$notes]);
    }

    /** The name of a column as it is looked for: "Best Before " is best_before. */
    private static function column(?string $name): string
    {
        return str_replace(' ', '_', mb_strtolower(trim((string) $name)));
    }

    /**
     * @param  resource  $stream
     * @param  list<string>  $names
     * @return array{array<int, array<string, string>>, array<int, string>} the rows, and what is wrong with those that are crooked
     *
     * @throws CsvException
     */
    private static function rows($stream, string $delimiter, array $names, int $most, int $line): array
    {
        $rows = $crooked = [];
        $size = fstat($stream)['size'] ?? 0;
        while (true) {
            $line++;
            $before = ftell($stream);
            $cells = fgetcsv($stream, null, $delimiter, '"', '');
            if ($cells === false) {
                break;
            }
            $after = ftell($stream);
            fseek($stream, (int) $before);
            $written = (string) fread($stream, max(1, (int) $after - (int) $before));
            fseek($stream, (int) $after);
            if ($cells !== [null] && implode('', array_map('strval', $cells)) !== '') {
                if (count($rows) + count($crooked) >= $most) {
                    throw CsvException::tooMany($most);
                }
                // A quote that is never closed takes all the lines after it into one cell.
                $opens = preg_match('/(?:^|'.$delimiter.')"/m', $written) === 1;
                if ($opens && $after === $size && substr_count($written, '"') % 2 === 1) {
                    throw CsvException::unclosed($line);
                }
                // What stands beyond the last column has moved there, and so may have what is before it.
                if (implode('', array_map('strval', array_slice($cells, count($names)))) !== '') {
                    $crooked[$line] = sprintf(
                        'This line has %d cells, and the first line names %d columns. A text with %s in it is written between quotes.',
                        count($cells),
                        count($names),
                        [',' => 'a comma', ';' => 'a semicolon', "\t" => 'a tab'][$delimiter],
                    );
                } else {
                    $rows[$line] = self::row($names, $cells);
                }
            }
            // A cell over several lines.
            $line += max(0, substr_count($written, "\n") - 1);
        }

        return [$rows, $crooked];
    }

    /**
     * @param  list<string>  $names
     * @param  list<?string>  $cells
     * @return array<string, string>
     */
    private static function row(array $names, array $cells): array
    {
        $row = [];
        foreach ($names as $i => $name) {
            // A text that was written with a quote before it, to keep a spreadsheet from reckoning it.
            $row[$name] = preg_replace("/^'(?=[=+\\-@])/", '', trim((string) ($cells[$i] ?? ''))) ?? '';
        }

        return $row;
    }

    /**
     * @return array{string, list<string>}
     *
     * @throws CsvException
     */
    private static function decode(string $bytes): array
    {
        if (trim($bytes) === '') {
            throw CsvException::empty();
        }
        if (str_starts_with($bytes, "\xFF\xFE") || str_starts_with($bytes, "\xFE\xFF")) {
            return [str_replace("\r\n", "\n", mb_convert_encoding($bytes, 'UTF-8', 'UTF-16')), ['Read as UTF-16.']];
        }
        if (str_contains($bytes, "\0") || str_starts_with($bytes, 'PK')) {
            throw CsvException::notText();
        }
        $text = preg_replace('/^\xEF\xBB\xBF/', '', $bytes) ?? $bytes;
        $notes = [];
        if (! mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
            $notes[] = 'It is not UTF-8, and was read as Windows-1252: look at the names with accents.';
        }

        return [str_replace(["\r\n", "\r"], "\n", $text), $notes];
    }

    /** A cell that a spreadsheet would take for a formula is written so that it stays text. */
    public static function harmless(string $cell): string
    {
        return preg_match('/^[=+\-@\t\r]/', $cell) === 1 ? "'".$cell : $cell;
    }
}
