<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\UnitWords;

/** One amount that is written twice, in the two systems of measures: "28g/1oz", "10 fl oz (300 ml)". */
final readonly class AmountTwice
{
    /** So near are two amounts that are one, rounded each for itself: common practice, no source. */
    public const SAME = 0.12;

    private const METRIC = '(?:\d[\d.,]*\s*'.UnitWords::METRIC.')';

    private const OTHER = '(?:\d[\d.\/½¼¾⅓⅔]*(?:\s+\d\/\d|\s*[½¼¾⅓⅔])?\s*'.UnitWords::HOUSEHOLD.')';

    /** The one beside the other behind a stroke or in brackets, whichever is first. */
    private const TWICE =
        '/(?<![\d.\/])(?:(?<first>'.
        self::METRIC.
        ')\s*(?:\/\s*(?<then>'.
        self::OTHER.
        ')|\(\s*(?<within>'.
        self::OTHER.
        ')\s*\))|(?<other>'.
        self::OTHER.
        ')\s*(?:\/\s*(?<thenMetric>'.
        self::METRIC.
        ')|\(\s*(?<withinMetric>'.
        self::METRIC.
        ')\s*\)))(?![\p{L}\d])/iu';

    private const ANY = '(?:[\d½¼¾⅓⅔][\d.½¼¾⅓⅔]*(?:\s+\d\/\d)?|\d\/\d)\s*'.UnitWords::ANY.'\b';

    public function __construct(private RecipeWords $words) {}

    /** The same with the metric one only; two that are not the same stay as they are. */
    public function once(string $text): string
    {
        return preg_replace_callback(self::TWICE, $this->metric(...), $text) ?? $text;
    }

    /** "28g/1oz calendula" at the head of a line or at its end, with the second in brackets. */
    public static function inBrackets(string $line): string
    {
        $before = '/^('.self::ANY.')\s*\/\s*('.self::ANY.')\s+(?=\p{L})/iu';
        // "Shea butter: 28g/1oz" has them behind it.
        $behind = '/(?<=\p{L}|[:,–—-])(\s*)('.self::ANY.')\s*\/\s*('.self::ANY.')$/iu';

        return preg_replace([$before, $behind], ['$1 ($2) ', '$1$2 ($3)'], $line) ?? $line;
    }

    /** @param  array<string>  $m the two as they are written */
    private function metric(array $m): string
    {
        $metric = self::firstOf($m, 'first', 'thenMetric', 'withinMetric');
        // Ounces beside millilitres are of what it holds.
        $ounces = OilLine::isPoured($metric) ? 'fl oz' : 'oz';
        $other = preg_replace('/(?<!fl )(?<!fl\. )oz$/iu', $ounces, self::firstOf($m, 'other', 'then', 'within'));
        [$one, $two] = [$this->words->amounts->reading($metric), $this->words->amounts->reading($other ?? '')];
        $isSame = $one !== null && $two !== null && $one->kind === $two->kind && abs($one->value / $two->value - 1) < self::SAME;

        return $isSame ? $metric : $m[0];
    }

    /** @param  array<string>  $m */
    private static function firstOf(array $m, string ...$names): string
    {
        return array_values(array_filter(array_map(fn (string $name) => $m[$name] ?? '', $names)))[0] ?? '';
    }
}
