<?php

namespace App\Actions\Sun;

use App\Files\CsvTable;
use App\House\KitchenFactory;
use App\Models\Tenancy\CurrentHouse;
use App\Models\WeatherDay;
use Kettle\Time\Day;
use Kettle\Warmth\Readings;
use Kettle\Warmth\WarmthException;

/** Real days out of a CSV file: day, cloud (0 to 1, or per cent), low and high. */
final readonly class TakeWeather
{
    private const ROWS = 2000;

    public function __construct(private CurrentHouse $current, private KitchenFactory $kitchens) {}

    /** @return array{taken: int, refused: list<array{row: int, sentence: string}>} */
    public function __invoke(string $bytes): array
    {
        $table = CsvTable::read(
            $bytes,
            ['day', 'cloud'],
            [['day', 'date'], ['cloud', 'clouds']],
            ['day', 'date', 'cloud', 'clouds', 'low', 'high'],
            self::ROWS,
        );
        $house = $this->current->house()->id;
        $zone = $this->kitchens->now()->getTimezone();
        $today = $this->kitchens->now();
        $rows = $refused = [];
        foreach ($table->rows as $line => $row) {
            try {
                $typed = $row['day'] ?? ($row['date'] ?? '');
                $day =
                    Day::read($typed, $zone) ??
                    throw WarmthException::weather(sprintf('“%s” is not a day. Write it like 2026-06-21.', mb_substr($typed, 0, 20)));
                if ($day > $today || $day < $today->modify('-2 years')) {
                    throw WarmthException::weather('A day of the last two years, not one to come.');
                }
                $cloud = $this->cloud($row['cloud'] ?? ($row['clouds'] ?? ''));
                $low = $this->warmth($row['low'] ?? '', 8.0);
                $high = $this->warmth($row['high'] ?? '', max($low, 8.0) + 5);
                if ($high < $low) {
                    throw WarmthException::weather('The high of a day is not below its low.');
                }
                $rows[$day->format('Y-m-d')] = [
                    'house_id' => $house,
                    'day' => $day->format('Y-m-d'),
                    'cloud' => $cloud,
                    'low_c' => $low,
                    'high_c' => $high,
                ];
            } catch (WarmthException $no) {
                $refused[] = ['row' => $line, 'sentence' => $no->sentence];
            }
        }
        foreach (array_chunk(array_values($rows), 200) as $part) {
            WeatherDay::query()->upsert($part, ['house_id', 'day'], ['cloud', 'low_c', 'high_c']);
        }

        return ['taken' => count($rows), 'refused' => $refused];
    }

    private function cloud(string $typed): float
    {
        if (preg_match('/^(\d{1,3}(?:[.,]\d+)?)\s*(%?)$/D', trim($typed), $m) !== 1) {
            throw WarmthException::weather('Clouds are a share from 0 to 1, or per cent.');
        }
        $number = (float) str_replace(',', '.', $m[1]);
        $share = $m[2] === '%' || $number > 1 ? $number / 100 : $number;

        return $share <= 1 ? $share : throw WarmthException::weather('Clouds are a share from 0 to 1, or per cent.');
    }

    private function warmth(string $typed, float $else): float
    {
        if (trim($typed) === '') {
            return $else;
        }
        $celsius = Readings::warmth($typed);

        return $celsius >= -60 && $celsius <= 60 ? round($celsius, 1) : throw WarmthException::weather('No day is so warm or so cold.');
    }
}
