<?php

declare(strict_types=1);

namespace Kettle\Measure;

/**
 * Shows amounts as people measure them, and says what the rounding costs.
 */
final readonly class AmountWriter
{
    private const FRACTIONS = ['' => 0.0, '¼' => 0.25, '⅓' => 1 / 3, '½' => 0.5, '⅔' => 2 / 3, '¾' => 0.75];

    /** Further than this from the truth nothing is shown in a kitchen measure, per cent. */
    private const MOST_OFF = 5.0;

    public function __construct(private MeasureSystem $custom = MeasureSystem::Us) {}

    /** In the metric unit a scale or jug shows: "70 g", "1.25 L", "93 mm", "49 °C". */
    public static function plain(float $value, Kind $kind): string
    {
        return match ($kind) {
            Kind::Mass => match (true) {
                abs($value) >= 1000 => self::trim($value / 1000, 2).' kg',
                abs($value) < 10 => self::trim($value, 1).' g',
                default => (int) round($value).' g',
            },
            Kind::Volume => match (true) {
                abs($value) >= 1000 => self::trim($value / 1000, 2).' L',
                abs($value) < 10 => self::trim($value, 1).' mL',
                default => (int) round($value).' mL',
            },
            Kind::Length => (int) round($value).' mm',
            Kind::Temperature => (int) round($value).' °C',
            Kind::Time => self::span($value),
        };
    }

    /** A length of time in hours, as it is said: "30 min", "8 h", "4 weeks". */
    public static function span(float $hours): string
    {
        return match (true) {
            $hours < 1 => (int) round($hours * 60).' min',
            $hours < 96 => self::trim($hours, 1).' h',
            fmod($hours, 168.0) < 1e-9 => self::trim($hours / 168, 0).($hours < 200 ? ' week' : ' weeks'),
            default => self::trim($hours / 24, 0).' days',
        };
    }

    /** "45 min", "13 h 55" */
    public static function clockSpan(float $hours): string
    {
        $minutes = (int) round($hours * 60);

        return $minutes < 60
            ? $minutes.' min'
            : intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : sprintf(' %02d', $minutes % 60));
    }

    /**
     * The nearest sensible cups and spoons, or pounds and ounces, and what that rounding costs.
     *
     * @param  float  $value g or mL
     * @return array{text: string, rounding_percent: float}
     */
    public function kitchen(float $value, Kind $kind): array
    {
        [$text, $shown] = match ($kind) {
            Kind::Volume => $this->spoons($value),
            Kind::Mass => $this->ounces($value),
            default => [self::plain($value, $kind), $value],
        };

        $off = $value > 0 ? (($shown - $value) / $value) * 100 : 0.0;
        // A spoon or an ounce that is so far out is no help: what a scale or a small jug shows is.
        if (abs($off) > self::MOST_OFF) {
            return ['text' => self::trim($value, $value < 1 ? 2 : 1).($kind === Kind::Mass ? ' g' : ' mL'), 'rounding_percent' => 0.0];
        }

        return ['text' => $text, 'rounding_percent' => round($off, 1)];
    }

    /** A volume in US fluid ounces, to one place as net contents are stated, to two under one ounce: "1.7 fl oz", "0.34 fl oz". */
    public static function fluidOunces(float $ml): string
    {
        $ounces = $ml / Unit::make('fl oz')->factor;

        return self::trim($ounces, $ounces < 0.995 ? 2 : 1).' fl oz';
    }

    /** The house's cup, mL. */
    public function cupMl(): float
    {
        return Unit::make('cup', $this->custom)->factor;
    }

    /** @return array{string, float} */
    private function spoons(float $ml): array
    {
        $cup = Unit::make('cup', $this->custom)->factor;
        $tbsp = Unit::make('tbsp', $this->custom)->factor;
        $tsp = Unit::make('tsp', $this->custom)->factor;
        if ($ml < $tbsp) {
            $quarters = max(1, (int) round(($ml / $tsp) * 4));

            return [self::mixed($quarters / 4).' tsp', ($quarters / 4) * $tsp];
        }
        if ($ml < $cup / 4 - $tsp / 2) {
            $whole = (int) floor($ml / $tbsp + 1e-9);
            $half = (int) round((($ml - $whole * $tbsp) / $tsp) * 2);
            if (($half / 2) * $tsp >= $tbsp - 1e-9) {
                $whole++;
                $half = 0;
            }

            return [$whole.' tbsp'.($half > 0 ? ' + '.self::mixed($half / 2).' tsp' : ''), $whole * $tbsp + ($half / 2) * $tsp];
        }

        return $this->cups($ml, $cup, $tbsp, $tsp);
    }

    /**
     * The cup marks nearest to the amount, then a spoon or so more or less.
     *
     * @return array{string, float}
     */
    private function cups(float $ml, float $cup, float $tbsp, float $tsp): array
    {
        $best = null;
        foreach ([floor($ml / $cup), floor($ml / $cup) + 1] as $whole) {
            foreach (self::FRACTIONS as $fraction) {
                $mark = ($whole + $fraction) * $cup;
                if ($mark > 0 && ($best === null || abs($mark - $ml) < abs($best - $ml))) {
                    $best = $mark;
                }
            }
        }
        $mark = (float) $best;
        $text = self::mixed($mark / $cup).($mark / $cup > 1.001 ? ' cups' : ' cup');
        $apart = $ml - $mark;
        $teaspoons = (int) round(abs($apart) / $tsp);
        // A difference under 1.5 % is less than pouring to a line can tell.
        if ($teaspoons === 0 || abs($apart) < 0.015 * $ml) {
            return [$text, $mark];
        }
        $perTbsp = (int) round($tbsp / $tsp);
        $inTbsp = $teaspoons >= $perTbsp;
        $spoons = $inTbsp ? (int) max(1, round($teaspoons / $perTbsp)) : $teaspoons;
        $spoon = $inTbsp ? $tbsp : $tsp;

        return [
            $text.($apart > 0 ? ' + ' : ' less ').$spoons.($inTbsp ? ' tbsp' : ' tsp'),
            $mark + ($apart > 0 ? 1 : -1) * $spoons * $spoon,
        ];
    }

    /** @return array{string, float} */
    private function ounces(float $grams): array
    {
        $oz = Unit::make('oz')->factor;
        $step = $grams < 2 * $oz ? 8 : 4;
        $parts = max(1, (int) round(($grams / $oz) * $step));
        $pounds = intdiv($parts, 16 * $step);
        $ounces = ($parts - $pounds * 16 * $step) / $step;
        $words = array_filter([$pounds > 0 ? $pounds.' lb' : '', $ounces > 0 || $pounds === 0 ? self::mixed($ounces).' oz' : '']);

        return [implode(' ', $words), ($parts / $step) * $oz];
    }

    /** "1½", "¾", "2", with eighths where they fall. */
    public static function mixed(float $number): string
    {
        $signs = ['⅛' => 0.125, '⅜' => 0.375, '⅝' => 0.625, '⅞' => 0.875] + self::FRACTIONS;
        $whole = (int) floor($number + 1e-6);
        $rest = $number - $whole;
        $sign = '';
        foreach ($signs as $candidate => $value) {
            if (abs($rest - $value) < 1e-6) {
                $sign = $candidate;
            }
        }

        return ($whole > 0 || $sign === '' ? (string) $whole : '').$sign;
    }

    private static function trim(float $value, int $places): string
    {
        $text = number_format($value + 0.0, $places, '.', '');
        // Next to nothing below nothing is nothing.
        $text = preg_match('/^-0(\.0*)?$/', $text) === 1 ? substr($text, 1) : $text;

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
