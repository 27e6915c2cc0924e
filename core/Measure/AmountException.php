<?php

declare(strict_types=1);

namespace Kettle\Measure;

use Kettle\Reason\RefusedException;

/** An amount as written could not be taken as the amount that was wanted. */
final class AmountException extends RefusedException
{
    public static function unreadable(string $typed, Kind $wanted): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” cannot be read as %s. Write it like %s.', self::short($typed), $wanted->word(), $wanted->example()),
        );
    }

    public static function ambiguousComma(string $typed): self
    {
        return new self(
            'ambiguous',
            sprintf(
                '“%s” can be read two ways, as thousands or as a decimal. Write it with a point, or without the comma.',
                self::short($typed),
            ),
        );
    }

    public static function ambiguousPoint(string $typed): self
    {
        return new self(
            'ambiguous',
            sprintf(
                '“%s” can be read two ways, as thousands or as a decimal. Write it without the point, or in litres or kilograms.',
                self::short($typed),
            ),
        );
    }

    public static function kindsDoNotAdd(string $typed): self
    {
        return new self(
            'mixed_units',
            sprintf('“%s” adds unlike things, such as a weight and a volume. Write it in one or the other.', self::short($typed)),
        );
    }

    public static function needsDensity(string $typed, Kind $found, Kind $wanted): self
    {
        $ounces =
            str_contains(mb_strtolower($typed), 'oz') || str_contains(mb_strtolower($typed), 'ounce')
                ? ' An ounce is a weight and a fluid ounce a volume; one becomes the other only through the density of a named material.'
                : '';

        return new self(
            'wrong_kind',
            sprintf(
                '“%s” is %s, and %s is wanted here, such as %s.%s',
                self::short($typed),
                $found->word(),
                $wanted->word(),
                $wanted->example(),
                $ounces,
            ),
        );
    }

    public static function moneyOfMany(string $typed): self
    {
        return new self(
            'unknown',
            sprintf('“%s” is the money of no one country. Write its three letters, such as GBP, EUR or USD.', self::short($typed)),
        );
    }

    /** @param  string  $typed a range, of what is not wished but there */
    public static function notOneFigure(string $typed): self
    {
        return new self('ambiguous', sprintf('“%s” is from one figure to another. Write the one that was read.', self::short($typed)));
    }

    /** @param  string  $typed a range from more to less */
    public static function backwards(string $typed): self
    {
        return new self(
            'ambiguous',
            sprintf(
                '“%s” goes from more to less. Write the lesser first where either may be, or “minus” where one is taken off the other.',
                self::short($typed),
            ),
        );
    }

    public static function fractionOfWhat(string $typed): self
    {
        return new self('ambiguous', sprintf('“%s” of what? Write it like half of it, or with its unit.', self::short($typed)));
    }

    public static function notAboveZero(string $typed): self
    {
        return new self('not_above_zero', sprintf('“%s” is not more than nothing. Give an amount above zero.', self::short($typed)));
    }

    public static function tooMuch(string $typed, string $most): self
    {
        return new self(
            'too_much',
            sprintf('“%s” is more than a kitchen handles at once. The most that is planned here is %s.', self::short($typed), $most),
        );
    }

    public static function tooLittle(string $typed, string $least): self
    {
        return new self(
            'too_little',
            sprintf('“%s” is too little to weigh or measure. The least that is planned here is %s.', self::short($typed), $least),
        );
    }

    private static function short(string $typed): string
    {
        return mb_strlen($typed) > 40 ? mb_substr($typed, 0, 40).'…' : $typed;
    }
}
