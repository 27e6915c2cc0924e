<?php

declare(strict_types=1);

namespace Kettle\Share;

/** Tables as lines of text: the unit that the head says behind each number, and per cent behind numbers that come to a hundred. */
final class TableLines
{
    /** By what a head calls it, and last how much with none; the first that a table has is taken. */
    private const UNITS = [
        'g' => '/^(?:weight\s*)?\(?(?:g|gr|grams?|grammes?)\)?$/iu',
        'ml' => '/^(?:volume\s*)?\(?(?:ml|millilit(?:re|er)s?)\)?$/iu',
        'oz' => '/^(?:weight\s*)?\(?(?:oz|ounces?)\)?$/iu',
        'drops' => '/^\(?drops?\)?$/iu',
        'parts' => '/^\(?parts?\)?$/iu',
        '%' => '/^(?:share\s*)?\(?(?:%|per\s?cent|percent(?:age)?)\)?(?:\s*w\/w)?$/iu',
        '' => '/^(?:amounts?|quantit(?:y|ies)|qty|how\s+much|measures?)$/iu',
    ];

    private const NAMED = '/^(?:ingredients?|herbs?|oils?|items?|names?|what|material|component)$/iu';

    private const NUMBER = '/^\d+(?:[.,]\d+)?$/u';

    /** "Olive oil 70", "olive oil: 70" */
    private const LINE = '/^\s*(?:[-*•][ \t]*)?(\p{L}[^\d\n]*?)\s*[:|,;\t–-]?\s*(\d+(?:[.,]\d+)?)\s*$/u';

    private const OFF = 0.5;

    public static function withUnits(string $text): string
    {
        $lines = explode("\n", $text);
        foreach ($lines as $at => $line) {
            $cells = self::cells($line);
            if (count($cells) < 2 || preg_match(self::NAMED, $cells[0]) !== 1) {
                continue;
            }
            foreach (self::UNITS as $unit => $called) {
                $column = array_key_first(preg_grep($called, $cells) ?: []);
                if ($column !== null) {
                    $rows = array_map(fn (string $row) => self::row($row, (int) $column, $unit), array_slice($lines, $at + 1));

                    return implode("\n", [...array_slice($lines, 0, $at), ...array_filter($rows, fn (?string $row) => $row !== null)]);
                }
            }
        }

        return self::hundred($text);
    }

    /** @return list<string> of a row of a table, drawn or not */
    private static function cells(string $line): array
    {
        $apart = preg_split('/[ \t]*[|\t;][ \t]*|,[ \t]*(?!\d)/u', trim($line, " \t|")) ?: [];

        return array_map(trim(...), $apart);
    }

    /** With its unit behind the number; null for the line below a head. */
    private static function row(string $line, int $column, string $unit): ?string
    {
        if (preg_match('/^[\s|:-]+$/', $line) === 1 && str_contains($line, '-')) {
            return null;
        }
        $cells = self::cells($line);
        $number = $cells[$column] ?? '';
        // Where the head has no unit, each amount has its own.
        $isAmount = preg_match($unit === '' ? '/^[\d½¼¾⅓⅔]/u' : self::NUMBER, $number) === 1;
        if (count($cells) > 1 && $isAmount && preg_match('/\p{L}/u', $cells[0]) === 1) {
            return rtrim("{$cells[0]}: {$number} {$unit}");
        }
        if ($unit === '') {
            return $line;
        }

        return preg_match(self::LINE, $line, $m) === 1 ? "{$m[1]}: {$m[2]} {$unit}" : $line;
    }

    /** "Oil 80, wax 20": what comes to a hundred is told in per cent. */
    private static function hundred(string $text): string
    {
        $lines = array_values(array_filter(explode("\n", $text), fn (string $line) => trim($line) !== ''));
        $rows = array_filter($lines, fn (string $line) => preg_match(self::LINE, $line) === 1);
        // A title, or what is done, may stand before them and behind.
        $others = array_filter(array_diff_key($lines, $rows), fn (string $line) => preg_match('/\d/', $line) === 1);
        $sum = 0.0;
        foreach ($rows as $row) {
            $sum += (float) str_replace(',', '.', preg_replace(self::LINE, '$2', $row) ?? '');
        }
        if (count($rows) < 2 || $others !== [] || abs($sum - 100.0) > self::OFF) {
            return $text;
        }

        return implode("\n", array_map(fn (string $line) => preg_replace(self::LINE, '$1: $2 %', $line) ?? $line, $lines));
    }

    /** The rows of a table drawn with strokes, "| calendula | 50 g |", as lines; its head and its rule are none. */
    public static function drawn(string $text): string
    {
        return preg_replace_callback('/^[ \t]*\|.*\|[ \t]*$/mu', self::ofRow(...), $text) ?? $text;
    }

    /** @param  array<string>  $m a row as it is drawn */
    private static function ofRow(array $m): string
    {
        $cells = array_map('trim', explode('|', $m[0]));

        $cells = array_values(array_filter($cells, fn (string $cell) => preg_match('/[\p{L}\d]/u', $cell) === 1));
        // "| calendula | 50 g | 2 cups |" has the one beside the other.
        $isTwice = count($cells) === 3 && count(preg_grep('/^[\d½¼¾⅓⅔]/u', $cells) ?: []) === 2 && preg_match('/^\p{L}/u', $cells[0]) === 1;

        return $isTwice ? "{$cells[0]} - {$cells[1]} ({$cells[2]})" : implode(' - ', $cells);
    }
}
