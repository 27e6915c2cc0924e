<?php

declare(strict_types=1);

namespace Kettle\Share;

/** Which product a text says it is. */
final class ProductKind
{
    /** "A beard balm" is a balm, and no oil for the beard. */
    private const FIRM_ONES = '(?:balms?|butters?|bars?|sticks?|masks?|salves?|ointments?|melts?)\b';

    /** What it is, the longer names first; a recipe that does not say is asked as a salve, and that is told as a guess. */
    private const PRODUCTS = [
        'lip-balm' => '/\b(lip\s*balms?|chap\s*sticks?)\b/i',
        'whipped-butter' => '/\b(whipped|body\s+butters?)\b/i',
        'hair-oil' => '/\b(hair|scalp|beard)\b(?!\s+'.self::FIRM_ONES.')/i',
        'massage-oil' => '/\bmassage\b(?!\s+'.self::FIRM_ONES.')/i',
        'bath-oil' => '/\bbath\b(?!\s+'.self::FIRM_ONES.')/i',
        'face-oil' => '/\b(face|facial)\s+(oil|serum)s?\b/i',
        'body-oil' => '/\bbody\s+oils?\b/i',
        'roll-on' => '/\broll[\s-]*ons?\b/i',
        'scrub' => '/\bscrubs?\b/i',
        'mask' => '/\b(face\s+)?masks?\b/i',
        'cream' => '/\b(creams?|lotions?)\b(?!\s+(?:bars?|sticks?)\b)/i',
        'dressing' => '/\bdressings?\b/i',
        'marinade' => '/\bmarinades?\b/i',
        'stick' => '/\b(sticks?|twist[\s-]*ups?)\b/i',
        'bar' => '/\b(bars?|bath\s+melts?)\b/i',
        'ointment' => '/\bointments?\b/i',
        'balm' => '/\bbalms?\b/i',
        'salve' => '/\bsalves?\b/i',
    ];

    /** @return ?string id of the product; null where none is named */
    public static function in(string $text): ?string
    {
        foreach (self::PRODUCTS as $id => $pattern) {
            if (preg_match($pattern, $text) === 1) {
                return $id;
            }
        }

        return null;
    }
}
