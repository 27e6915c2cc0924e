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
