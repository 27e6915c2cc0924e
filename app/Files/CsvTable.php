<?php

namespace App\Files;

/**
 * CSV as people save it: comma, semicolon or tab; UTF-8, UTF-16 or Windows-1252. Cells by column name,
 * rows by the line of the file they begin on.
 */
final readonly class CsvTable
{
    private const DELIMITERS = [',' => 'commas', ';' => 'semicolons', "\t" => 'tabs'];

    /**
     * @param  array<int, array<string, string>>  $rows
     * @param  list<string>  $notes what was taken for what
     */
    private function __construct(public array $rows, public array $notes) {}

    /**
     * @param  list<string>  $wanted columns, as they are asked for when one is missing
     * @param  list<list<string>>  $must of each of these, one column must be there
     * @param  list<string>  $known all columns that mean something
     *
     * @throws CsvException
     */
    public static function read(string $bytes, array $wanted, array $must, array $known, int $most): self
    {
        [$text, $notes] = self::decode($bytes);
        $head = strtok($text, "\n");
        if ($head === false || trim($head) === '') {
            throw CsvException::empty();
        }
        $delimiter = ',';
        foreach (array_keys(self::DELIMITERS) as $each) {
            $delimiter = substr_count($head, $each) > substr_count($head, $delimiter) ? $each : $delimiter;
        }
        $stream = fopen('php://temp', 'r+');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);
        $names = array_map(
            fn (?string $name) => str_replace(' ', '_', mb_strtolower(trim((string) $name))),
            fgetcsv($stream, null, $delimiter, '"', '') ?: [],
        );
        if (array_filter($must, fn (array $any) => array_intersect($any, $names) === []) !== []) {
            throw CsvException::columns($wanted, mb_substr(implode(', ', array_filter($names)), 0, 120));
        }
        if ($delimiter !== ',') {
            $notes[] = sprintf('Read with %s between the columns.', self::DELIMITERS[$delimiter]);
        }
        $strange = array_values(array_filter(array_diff($names, $known)));
        if ($strange !== []) {
            $notes[] = 'Not read: '.mb_substr(implode(', ', $strange), 0, 160).'.';
        }

        return new self(self::rows($stream, $delimiter, $names, $most), $notes);
    }

    /**
     * @param  resource  $stream
     * @param  list<string>  $names
     * @return array<int, array<string, string>>
     */
    private static function rows($stream, string $delimiter, array $names, int $most): array
    {
        $rows = [];
        $line = 1;
        while (true) {
            $line++;
            $before = ftell($stream);
            $cells = fgetcsv($stream, null, $delimiter, '"', '');
            if ($cells === false) {
                break;
            }
            if ($cells !== [null] && implode('', array_map('strval', $cells)) !== '') {
                if (count($rows) >= $most) {
                    throw CsvException::tooMany($most);
                }
                $row = [];
                foreach ($names as $i => $name) {
                    // A text that was written with a quote before it, to keep a spreadsheet from reckoning it.
                    $row[$name] = preg_replace("/^'(?=[=+\\-@])/", '', trim((string) ($cells[$i] ?? ''))) ?? '';
                }
                $rows[$line] = $row;
            }
            // A cell over several lines.
            $after = ftell($stream);
            fseek($stream, (int) $before);
            $line += max(0, substr_count((string) fread($stream, max(1, (int) $after - (int) $before)), "\n") - 1);
            fseek($stream, (int) $after);
        }

        return $rows;
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
