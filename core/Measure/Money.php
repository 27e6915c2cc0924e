<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Money as it is written in a place. */
final class Money
{
    /** @var array<string, \NumberFormatter> to make one takes a hundred times what it takes to write with it */
    private static array $writers = [];

    /** "£2.27", "$2.27"; only the number, with two places, where there is no currency. */
    public static function text(float $amount, string $currency, string $locale): string
    {
        if ($currency === '') {
            return (string) self::writer($locale, \NumberFormatter::DECIMAL)->format($amount);
        }

        return (string) self::writer($locale, \NumberFormatter::CURRENCY)->formatCurrency($amount, $currency);
    }

    /** The sign or the code of other money than this in a price that somebody wrote, "€" where it is in pounds; null without one. */
    public static function otherIn(string $typed, string $currency, string $locale): ?string
    {
        if ($currency === '' || preg_match('/\p{Sc}|\b[A-Z]{3}\b/u', $typed, $m) !== 1 || $m[0] === $currency) {
            return null;
        }

        return str_contains(self::text(1.0, $currency, $locale), $m[0]) ? null : $m[0];
    }

    private static function writer(string $locale, int $style): \NumberFormatter
    {
        if (! isset(self::$writers[$locale.$style])) {
            $writer = new \NumberFormatter($locale, $style);
            if ($style === \NumberFormatter::DECIMAL) {
                $writer->setAttribute(\NumberFormatter::FRACTION_DIGITS, 2);
            }
            self::$writers[$locale.$style] = $writer;
        }

        return self::$writers[$locale.$style];
    }
}
