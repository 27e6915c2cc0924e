<?php

namespace App\Actions\Stove;

use App\Files\CsvTable;
use App\Files\Heads;
use App\House\KitchenFactory;
use App\Models\Probe;
use App\Models\StoveSession;
use App\Responses\Stove\ReadingsTaken;

/**
 * A thermometer's own log as CSV: a moment and a warmth in each line. Moments without a zone are by the house's clock, and
 * warmths without a unit in the cook's own degrees, unless the name of their column says which.
 */
final readonly class ReadingsCsv
{
    private const ROWS = 20_000;

    public function __construct(private TakeReadings $take, private KitchenFactory $kitchens) {}

    /**
     * @param  bool  $do false only says what would be taken
     *
     * @throws \App\Files\CsvException
     */
    public function __invoke(StoveSession $session, Probe $probe, string $bytes, bool $do): ReadingsTaken
    {
        $kitchen = $this->kitchens->plain();
        $table = CsvTable::read(
            $bytes,
            ['at', 'c'],
            [['at', 'date', 'time'], ['c', 'f', 'warmth']],
            ['at', 'date', 'time', 'c', 'f', 'warmth'],
            self::ROWS,
            self::also(),
        )->withDays(['at', 'date', 'time']);
        $own = $kitchen->fahrenheit ? 'F' : 'C';
        $lines = $readings = [];
        $bare = false;
        foreach ($table->rows as $line => $row) {
            [$typed, $unit] = match (true) {
                ($row['c'] ?? '') !== '' => [$row['c'], 'C'],
                ($row['f'] ?? '') !== '' => [$row['f'], 'F'],
                default => [$row['warmth'] ?? '', ''],
            };
            $said = preg_match('/[cf]\s*$/i', $typed) === 1;
            $bare = $bare || (! $said && $unit === '' && $typed !== '');
            $lines[] = $line;
            $readings[] = [
                'at' => $row['at'] ?? trim(($row['date'] ?? '').' '.($row['time'] ?? '')),
                'c' => $said || $typed === '' ? $typed : $typed.' '.($unit === '' ? $own : $unit),
            ];
        }
        $zone = $this->kitchens->now()->getTimezone();
        $took = $do ? ($this->take)($session, $probe, $readings, $zone) : $this->take->tried($session, $probe, $readings, $zone);

        return ReadingsTaken::of($took, $lines, $table->crooked, [
            ...$table->notes,
            ...$bare ? ["Temperatures without a unit are taken as °{$own}, as thermometers are read here."] : [],
        ]);
    }

    /** @return array<string, string> what loggers call their columns: common practice, no source */
    private static function also(): array
    {
        $also = ['when' => 'at', 'timestamp' => 'at', 'datetime' => 'at', 'date_time' => 'at', 'date/time' => 'at', 'moment' => 'at'];
        foreach (Heads::DEGREES as $unit => $names) {
            $also += array_fill_keys(array_diff($names, [$unit]), $unit);
        }
        $called = ['temperature', 'temp', 'warmth', 'reading'];

        return $also + array_fill_keys(array_diff($called, ['warmth']), 'warmth') + Heads::degrees($called, 'c', 'f');
    }
}
