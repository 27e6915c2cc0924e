<?php

namespace App\Files;

/** What columns are called that have their unit in their name, as spreadsheets and loggers write it: common practice, no source. */
final readonly class Heads
{
    /** How a unit stands behind a name. */
    private const BEHIND = ['_%s', '_(%s)', '(%s)', '_[%s]', '[%s]'];

    /** Degrees by how they are written, by themselves or behind a name. */
    public const DEGREES = [
        'c' => ['c', '°c', 'deg_c', 'celsius', 'degrees_c'],
        'f' => ['f', '°f', 'deg_f', 'fahrenheit', 'degrees_f'],
    ];

    /**
     * @param  list<string>  $called as CsvTable writes the names of columns
     * @param  array<string, list<string>>  $units how each is written, by the column that holds it
     * @return array<string, string> columns by the names they go by
     */
    public static function of(array $called, array $units): array
    {
        $heads = [];
        foreach ($called as $name) {
            foreach ($units as $column => $written) {
                foreach ($written as $unit) {
                    foreach (self::BEHIND as $behind) {
                        $heads[$name.sprintf($behind, $unit)] = $column;
                    }
                }
            }
        }

        return $heads;
    }

    /**
     * @param  list<string>  $called
     * @return array<string, string> columns by the names they go by: $celsius and $fahrenheit
     */
    public static function degrees(array $called, string $celsius, string $fahrenheit): array
    {
        return self::of($called, [$celsius => self::DEGREES['c'], $fahrenheit => self::DEGREES['f']]);
    }
}
