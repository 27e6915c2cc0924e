<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Money as it is written in a place. */
final class Money
{
    /** What may stand before or behind a price: a sign, a code, or the words that some signs are. */
    private const MONEY = '[A-Z]{0,3}\p{Sc}|[A-Z]{3}|kr\.?|zł|Kč|Ft|lei|Fr\.?';

    /** Signs that are the money of one country, or of one union, and of no other. */
    private const SIGNS = ['£' => 'GBP', '€' => 'EUR', '₹' => 'INR', '₺' => 'TRY', '₪' => 'ILS', '₩' => 'KRW', '₴' => 'UAH', 'zł' => 'PLN'];

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

    /** Money and nothing else, "£4.50", "1,250.00 EUR"; null of "12/kg", which is no price, and of "50p", which is no fifty pounds. */
    public static function read(string $typed): ?float
    {
        $plain = preg_replace('/^(?:'.self::MONEY.')\s*|\s*(?:'.self::MONEY.')$/u', '', trim($typed)) ?? '';
        $thousands = preg_match('/^\d{1,3}(?:([, .])\d{3})+([.,])\d{1,2}$/', $plain, $m) === 1 && $m[1] !== $m[2] ? $m[1] : '';
        $plain = preg_replace('/,(\d{1,2})$/', '.$1', $thousands === '' ? $plain : str_replace($thousands, '', $plain)) ?? '';

        return preg_match('/^\d{1,6}(\.\d{1,4})?$/', $plain) === 1 ? (float) $plain : null;
    }

    /** The code that is meant by a code or a sign (ISO 4217, as ICU has it); null where there is none such, or where it may be several. */
    public static function code(string $typed): ?string
    {
        $code = self::SIGNS[$typed] ?? mb_strtoupper($typed);
        $known = preg_match('/^[A-Z]{3}$/D', $code) === 1 ? \ResourceBundle::create('en', 'ICUDATA-curr', false) : null;
        $all = $known?->get('Currencies', false);

        return $all instanceof \ResourceBundle && $all->get($code, false) !== null ? $code : null;
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
