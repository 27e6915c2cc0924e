<?php

declare(strict_types=1);

namespace Kettle\Measure;

/** Part of what is there, as it is said: "half", "a third of it", "two thirds", "10 %", "all of it". */
final class PartOf
{
    private const ALL = '/^(?:all|everything|the\s+(?:rest|lot|whole)|what\s+is\s+left|whole)(?:\s+of\s+it)?(?:\s+that\s+is\s+left)?$/iu';

    private const SHARES = ['half' => 2, 'third' => 3, 'quarter' => 4, 'fifth' => 5, 'eighth' => 8, 'tenth' => 10];

    /**
     * The share of the whole, 0 to 1; null where it is no part of something, but an amount, or nothing that can be read.
     *
     * @throws AmountException of a fraction by itself, which may be of a millilitre or of what is there
     */
    public static function share(string $typed): ?float
    {
        $text = trim($typed, " .\t");
        if (preg_match(self::ALL, $text) === 1) {
            return 1.0;
        }
        if (preg_match('/^(\d{1,3}(?:[.,]\d+)?)\s*(?:%|per\s?cent)(?:\s+of\s+(?:it|the\s+\w+))?$/iu', $text, $m) === 1) {
            $share = (float) str_replace(',', '.', $m[1]) / 100;

            return $share > 0 && $share <= 1 ? $share : null;
        }
        if (preg_match('/^(?:\d+\s*[\/⁄]\s*\d+|[¼½¾⅓⅔⅛])$/u', $text) === 1) {
            throw AmountException::fractionOfWhat($typed);
        }
        $plain = preg_replace('/\s+of\s+(?:it|the\s+\w+|what\s+is\s+left)$/iu', '', $text) ?? $text;
        if (preg_match('/^(?:(?:an?|one)\s+)?half$|^(?:(an?|one|two|three)[\s-]+)?(\p{L}+?)s?$/iu', $plain, $m) !== 1) {
            return null;
        }
        $many = ['two' => 2, 'three' => 3][mb_strtolower($m[1] ?? '')] ?? 1;
        $of = isset($m[2]) ? self::SHARES[mb_strtolower($m[2])] ?? null : 2;

        return $of === null || $many >= $of ? null : $many / $of;
    }
}
