<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\UnitWords;

/** What is made of a plant and is not the plant, so that none of it is infused for it: its water, its tincture, its juice. */
final class MadeOf
{
    private const IT_IS =
        'extracts?|tinctures?|oleoresins?|antioxidants?|absolutes?|hydrosols?|hydrolates?|distillates?|waters?|vinegars?|oxymels?|'.
        'syrups?|cordials?|juices?|honey|glycerites?|elixirs?|liqueurs?|wines?|milk|sugars?|salts?|essential\s+oils?|eo';

    /** Whether the words say so at their end: "calendula tincture", "lavender hydrosol (organic)"; water by itself is water. */
    public static function is(string $named): bool
    {
        return self::what($named) !== null;
    }

    /** What was measured between the two of its words, with the measure behind both: "lavender 10 mL essential oil". */
    public static function inOne(string $piece): string
    {
        $between = '/^(\p{L}[\p{L}\s\'’-]*?)\s+(\d[\d.,]*\s*'.UnitWords::ANY.')\s+('.self::IT_IS.')$/iu';

        return preg_replace($between, '$1 $3 $2', $piece) ?? $piece;
    }

    /** Which of these it is, without the plant: "hydrosol"; null of the plant itself. */
    public static function what(string $named): ?string
    {
        $bare = trim(preg_replace('/\([^)]*\)|[,;].*$/u', ' ', $named) ?? $named);

        return preg_match('/\p{L}[\p{L}\d\'’]*[\s-]+('.self::IT_IS.')$/iu', $bare, $m) === 1 ? mb_strtolower($m[1]) : null;
    }
}
