<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;

/** What a figure of a thing of one's own is counted in. Its unit may be written with it; a bare number is of this one. */
enum Figure: string
{
    case PerCent = 'per cent';
    case GramsPerMl = 'g/mL';
    case Celsius = '°C';
    case Months = 'months';
    case Ml = 'mL';
    case Grams = 'g';
    case Times = 'times';

    /** Other words of the unit, each with how many of it they are. A bottle's specific gravity is its g/mL within 0.2 %. */
    private const WORDS = [
        self::PerCent->value => ['%' => 1, 'per cent' => 1, 'percent' => 1, 'pc' => 1],
        self::GramsPerMl->value => [
            'g/ml' => 1,
            'g' => 1,
            'g per ml' => 1,
            'g/cm3' => 1,
            'g/cm³' => 1,
            'g/cc' => 1,
            'kg/l' => 1,
            'sg' => 1,
            'g/l' => 0.001,
            'kg/m3' => 0.001,
            'kg/m³' => 0.001,
        ],
        self::Months->value => [
            'day' => 12 / 365.25,
            'days' => 12 / 365.25,
            'weeks' => 84 / 365.25,
            'week' => 84 / 365.25,
            'month' => 1,
            'months' => 1,
            'mo' => 1,
            'mth' => 1,
            'mths' => 1,
            'year' => 12,
            'years' => 12,
            'yr' => 12,
            'yrs' => 12,
        ],
        self::Times->value => ['times' => 1, 'time' => 1, 'x' => 1, '×' => 1, 'parts' => 1, 'part' => 1],
    ];

    /**
     * A figure as it was typed.
     *
     * @throws MaterialException|AmountException when it is none of this unit, or goes from one to another
     */
    public function read(string $typed, AmountReader $amounts): float
    {
        if ($this->kind() !== null) {
            $amount = $amounts->read($typed, $this->kind(), $this->value);

            return $amount->low === $amount->high ? round($amount->value, 3) : throw MaterialException::ownRange($typed);
        }
        if (preg_match('/\d\s*%?\s*(?:-|–|to)\s*\d+(?!\s*[\d\/⁄])/u', $typed) === 1) {
            throw MaterialException::ownRange($typed);
        }
        $plain = mb_strtolower(trim(Figures::ofAmount($typed)));
        foreach (self::WORDS[$this->value] ?? [] as $word => $times) {
            $before = mb_substr($plain, 0, -mb_strlen($word));
            // "6 months" ends in no word but its own: "12 pc" is none of "c".
            if (str_ends_with($plain, $word) && preg_match('/\p{L}\s*$/u', $before) !== 1) {
                return round($this->number($before, $typed, $amounts) * $times, 6);
            }
        }

        return $this->number($plain, $typed, $amounts);
    }

    /** As it is said of what cannot be read. */
    public function word(): string
    {
        return match ($this) {
            self::GramsPerMl => 'grams in a millilitre',
            self::Times => 'a number',
            default => 'a number of '.$this->value,
        };
    }

    /** What it is written like. */
    public function example(): string
    {
        return match ($this) {
            self::PerCent => '12 %',
            self::GramsPerMl => '0.915 g/mL',
            self::Celsius => '10 °C',
            self::Months => '6 months',
            self::Ml => '42 mL',
            self::Grams => '50 g',
            self::Times => '1.5',
        };
    }

    private function kind(): ?Kind
    {
        return match ($this) {
            self::Celsius => Kind::Temperature,
            self::Ml => Kind::Volume,
            self::Grams => Kind::Mass,
            default => null,
        };
    }

    private function number(string $plain, string $typed, AmountReader $amounts): float
    {
        try {
            return $amounts->number($plain);
        } catch (AmountException $refused) {
            throw $refused->reason === 'ambiguous' ? $refused : MaterialException::ownFigure($typed, $this);
        }
    }
}
