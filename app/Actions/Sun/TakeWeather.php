<?php

namespace App\Actions\Sun;

use App\Files\CsvTable;
use App\Files\Heads;
use App\House\KitchenFactory;
use App\Models\Tenancy\CurrentHouse;
use App\Models\WeatherDay;
use App\Responses\Batch\WeatherTaken;
use App\Responses\Stove\RefusedReading;
use Kettle\Recipe\Kitchen;
use Kettle\Time\Day;
use Kettle\Warmth\WarmthException;

/**
 * Real days out of a CSV file: day, cloud, low and high. Cloud is a share from 0 to 1, per cent, or eighths of the sky (the
 * okta of the WMO's Manual on Codes); which of them bare numbers are is told by all of the file together.
 */
final readonly class TakeWeather
{
    private const ROWS = 2000;

    private const EIGHTHS = 8;

    /** Degrees C, where the file has no low or high of a day. */
    private const LOW_C = 8.0;

    private const RISE_C = 5.0;

    private const COLUMNS = ['day', 'cloud', 'percent', 'oktas', 'low', 'low_c', 'low_f', 'high', 'high_c', 'high_f'];

    private const CLOUDS = ['cloud', 'clouds', 'cloud_cover', 'cloudcover', 'cloudiness'];

    private const LOWS = ['low', 'min', 'tmin', 'minimum', 'temp_min', 'min_temp', 'lowest'];

    private const HIGHS = ['high', 'max', 'tmax', 'maximum', 'temp_max', 'max_temp', 'highest'];

    public function __construct(private CurrentHouse $current, private KitchenFactory $kitchens) {}

    /** @param  bool  $do false only says what would be taken */
    public function __invoke(string $bytes, bool $do): WeatherTaken
    {
        $table = CsvTable::read(
            $bytes,
            ['day', 'cloud'],
            [['day'], ['cloud', 'percent', 'oktas']],
            self::COLUMNS,
            self::ROWS,
            self::also(),
        )->withDays(['day']);
        $house = $this->current->house()->id;
        $kitchen = $this->kitchens->plain();
        $zone = $this->kitchens->now()->getTimezone();
        $today = $this->kitchens->now();
        $bare = $this->bare(array_column($table->rows, 'cloud'));
        $rows = $refused = [];
        foreach ($table->rows as $line => $row) {
            try {
                $day =
                    Day::read($row['day'], $zone) ??
                    throw WarmthException::weather(sprintf('“%s” is not a day. Write it like 2026-06-21.', mb_substr($row['day'], 0, 20)));
                if ($day > $today || $day < $today->modify('-2 years')) {
                    throw WarmthException::weather('A day of the last two years, not one to come.');
                }
                $cloud = match (true) {
                    ($row['cloud'] ?? '') !== '' => $this->cloud($row['cloud'], $bare),
                    ($row['percent'] ?? '') !== '' => $this->cloud(rtrim($row['percent'], '% ').'%', $bare),
                    isset($row['oktas']) => $this->cloud($row['oktas'].'/'.self::EIGHTHS, $bare),
                    default => $this->cloud('', $bare),
                };
                $low = $this->warmth($row, 'low', self::LOW_C, $kitchen);
                $high = $this->warmth($row, 'high', max($low, self::LOW_C) + self::RISE_C, $kitchen);
                if ($high < $low) {
                    throw WarmthException::weather('The high of a day is not below its low.');
                }
                if (isset($rows[$day->format('Y-m-d')])) {
                    throw WarmthException::weather('That day is in the file already.');
                }
                $rows[$day->format('Y-m-d')] = [
                    'house_id' => $house,
                    'day' => $day->format('Y-m-d'),
                    'cloud' => $cloud,
                    'low_c' => $low,
                    'high_c' => $high,
                ];
            } catch (WarmthException $no) {
                $refused[] = new RefusedReading($line, $no->sentence);
            }
        }
        foreach ($do ? array_chunk(array_values($rows), 200) : [] as $part) {
            WeatherDay::query()->upsert($part, ['house_id', 'day'], ['cloud', 'low_c', 'high_c']);
        }

        return new WeatherTaken(count($rows), RefusedReading::ofFile($refused, $table->crooked), $table->notes);
    }

    /** @return array<string, string> what weather stations call their columns: common practice, no source */
    private static function also(): array
    {
        $also = ['date' => 'day', 'okta' => 'oktas'];
        foreach (['cloud' => self::CLOUDS, 'low' => self::LOWS, 'high' => self::HIGHS] as $column => $called) {
            $also += array_fill_keys(array_diff($called, [$column]), $column);
        }

        return $also +
            Heads::of(self::CLOUDS, ['percent' => ['%', 'percent', 'pct', 'per_cent'], 'oktas' => ['okta', 'oktas', 'eighths', '1/8']]) +
            Heads::degrees(self::LOWS, 'low_c', 'low_f') +
            Heads::degrees(self::HIGHS, 'high_c', 'high_f');
    }

    /**
     * What a number without a sign is one of: 1 a share, 100 per cent. In a file of per cents, 1 is a nearly clear sky and not
     * a covered one; where all are whole and none is over eight, nobody can tell them from eighths.
     *
     * @param  list<string>  $clouds
     */
    private function bare(array $clouds): ?int
    {
        $numbers = array_map(
            fn (string $each) => (float) str_replace(',', '.', $each),
            array_filter($clouds, fn (string $each) => preg_match('/^\d+(?:[.,]\d+)?$/D', $each) === 1),
        );
        $most = $numbers === [] ? 0.0 : max($numbers);
        $whole = array_filter($numbers, fn (float $each) => $each !== floor($each)) === [];

        return match (true) {
            $most <= 1.0 => 1,
            $most <= self::EIGHTHS && $whole => null,
            default => 100,
        };
    }

    private function cloud(string $typed, ?int $bare): float
    {
        if (preg_match('/^(\d{1,3}(?:[.,]\d+)?)\s*(%|\/\s*8)?$/D', trim($typed), $m) !== 1) {
            throw WarmthException::weather('Clouds are a share from 0 to 1, per cent, or eighths as in 5/8.');
        }
        $of = match (substr($m[2] ?? '', 0, 1)) {
            '%' => 100,
            '/' => self::EIGHTHS,
            default => $bare ?? throw WarmthException::weather(sprintf('“%1$s” may be %1$s %% or %1$s/8 of the sky. Write which.', $m[1])),
        };
        $share = (float) str_replace(',', '.', $m[1]) / $of;

        return $share <= 1 ? $share : throw WarmthException::weather('No sky has more clouds than it can hold: at most 1, 100 % or 8/8.');
    }

    /**
     * @param  array<string, string>  $row
     * @param  'low'|'high'  $which
     */
    private function warmth(array $row, string $which, float $else, Kitchen $kitchen): float
    {
        [$typed, $unit] = match (true) {
            ($row[$which] ?? '') !== '' => [$row[$which], ''],
            ($row[$which.'_c'] ?? '') !== '' => [$row[$which.'_c'], ' C'],
            default => [$row[$which.'_f'] ?? '', ' F'],
        };
        if ($typed === '') {
            return $else;
        }
        // What has its own unit keeps it, whatever the head says.
        $celsius = $kitchen->celsius(preg_match('/[cf]\s*$/i', $typed) === 1 ? $typed : $typed.$unit);

        return $celsius >= -60 && $celsius <= 60 ? round($celsius, 1) : throw WarmthException::weather('No day is so warm or so cold.');
    }
}
