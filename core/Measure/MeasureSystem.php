<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Whose cups, spoons, pints and fluid ounces are meant. */
enum MeasureSystem: string
{
    case Us = 'us';
    case Metric = 'metric';
    case Australian = 'australian';
    case Imperial = 'imperial';

    private const WORDS = [
        'us' => self::Us,
        'american' => self::Us,
        'imperial' => self::Imperial,
        'imp' => self::Imperial,
        'uk' => self::Imperial,
        'british' => self::Imperial,
        'metric' => self::Metric,
        'australian' => self::Australian,
    ];

    /** @return array{self, string}|null whose measure it is where its word says so, "imperial pint", and the rest of the word */
    public static function namedIn(string $word): ?array
    {
        [$first, $rest] = explode(' ', $word, 2) + ['', ''];
        $whose = self::WORDS[$first] ?? null;

        return $whose === null ? null : [$whose, $rest];
    }

    /** @return list<string> the units that are its own */
    public function own(): array
    {
        return match ($this) {
            self::Us, self::Imperial => ['cup', 'tbsp', 'tsp', 'fl oz', 'pint', 'quart', 'gal'],
            self::Metric, self::Australian => ['cup', 'tbsp', 'tsp'],
        };
    }

    /** Where these measures are at home, as CLDR names it: how numbers and money are written there. */
    public function locale(): string
    {
        return match ($this) {
            self::Us => 'en_US',
            self::Australian => 'en_AU',
            self::Metric, self::Imperial => 'en_GB',
        };
    }
}
