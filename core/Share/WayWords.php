<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Variant;

/** What the words of a text say of the way it is made: by which methods, by none of which, and by which school. */
final class WayWords
{
    public const METHODS = [
        'slow-cooker' => '/\bslow[\s-]*cook|\b(?:keep[\s-]+warm|warm|low)\s+setting\b|\bon\s+(?:the\s+)?(?:keep[\s-]+)?warm\s+for\b/i',
        'double-boiler' => '/\bdouble[\s-]*boiler|bain[\s-]*marie|'.
            '\bbowl\s+(?:(?:that\s+is\s+)?(?:set|placed|resting|standing|sitting)\s+)?(?:over|above)\s+'.
            '(?:an?\s+(?:sauce)?(?:pan|pot)\s+(?:of|with)\s+)?'.
            '(?:(?:gently|barely|just)\s+)?(?:hot|simmering|boiling|warm|steaming)\s+water/i',
        'solar' => '/\b(sun(?![\s-]*dried)|sunny(?!\s+(?:day|morning|afternoon|weather|spell))|solar|'.
            'window\s*sill|sill(?!.*\bsun)|window\s+ledge|in\s+(?:(?:the|full|bright|direct)\s+)*sun(?:light|shine)|'.
            '(?:warm|bright|south(?:ern|[\s-]facing)?)\s+window|(?:in|on)\s+(?:an?|the|my)\s+(?:kitchen\s+)?window)\b/i',
        'incubator' => '/\byogh?urt(?:\s*maker)?|\bincubator/i',
        'water-bath' => '/\bwater[\s-]*bath|sous[\s-]*vide|'.
            '\b(?:jars?\s+(?:(?:is|are|stood|set|placed|standing)\s+)?|(?:stand|set|place|put)\s+(?:it|them|the\s+jars?)\s+)in(?:to)?\s+'.
            'an?\s+(?:sauce)?(?:pan|pot)\s+(?:of|with|half\s+full\s+of)\s+(?:(?:hot|warm|simmering|cold)\s+)?water/i',
        'poured-hot' => '/\b(hot|warmed)\s+oil\s+over|pour(ed)?\s+(?:hot|the\s+hot\s+oil)/i',
        'cold' => '/\b((?<!when\s)(?<!once\s)(?<!until\s)(?<!till\s)(?<!is\s)(?<!are\s)(?<!go\s)cold|'.
            'dark|shelf|cupboard|steep|infuse|shake|no\s+heat|(?:do\s+not|don[’\']t)\s+(?:heat|warm)|'.
            'without\s+(?:any\s+)?heat|unheated)\b/i',
    ];

    private const SHORTEST_NAME = 8;

    /** @return list<string> ids of the methods a line speaks of; the cold shelf, which any words of waiting mean, last */
    public static function in(string $line): array
    {
        $line = self::outOfTheSun($line);
        $denied = self::denied($line);
        $line = $denied === null ? $line : str_replace($denied, ' ', $line);

        return array_keys(array_filter(self::METHODS, fn (string $pattern) => preg_match($pattern, $line) === 1));
    }

    public static function isSaid(string $line): bool
    {
        return self::in($line) !== [];
    }

    /** "Out of the sun" is in the dark, on whichever sill it stands. */
    public static function outOfTheSun(string $text): string
    {
        $sun = '(?:any\s+)?(?:(?:the|direct|full|strong|bright|hot)\s+)*sun(?:light|shine)?\b';
        $out =
            '/\b(?:kept?\s+)?(?:(?:do\s+not|don[’\']?t|never)\s+(?:(?:put|leave|stand|set|keep|place)\s+)?(?:(?:it|the\s+jar|them)\s+)?in|'.
            'out\s+of|away\s+from|not\s+in|no|without|avoid(?:ing)?|protect(?:ed)?\s+(?:it\s+)?from|'.
            "shaded\\s+from)\\s+{$sun}(?![\\s-]*dried)|".
            '\b(?:on|in)\s+(?:an?|the|my)\s+(?:shady|shaded|dark|cool|north(?:ern|[\s-]facing)?)\s+(?:window\s*)?(?:sill|window)\b/iu';
        $said = preg_replace($out, 'in the dark', $text, -1, $many) ?? $text;

        return $many === 0 ? $text : preg_replace('/\b(?:on|in)\s+(?:an?|the|my)\s+window\s*(?:sill)?\b,?/iu', '', $said) ?? $said;
    }

    /** "No slow cooker", "not in a double boiler": a way that it is not made by, as it is written. */
    public static function denied(string $text): ?string
    {
        $denied =
            '(?:no|without|not\s+(?:in|by|on|with)|instead\s+of|rather\s+than|(?:do\s+not|don[’\']t)\s+(?:have|own|use))\s+'.
            '(?:(?:an?|the|my|any)\s+)?';
        foreach (array_diff_key(self::METHODS, ['cold' => '']) as $pattern) {
            $bare = preg_replace('/^\/(?:\\\\b)?|\/i$/', '', $pattern) ?? '';
            if (preg_match("/\\b{$denied}(?:{$bare})\\p{L}*/iu", $text, $m) === 1) {
                return $m[0];
            }
        }

        return null;
    }

    /** "Slow cooker overnight": the school of a method that is called so in a text. Short names are words that mean much else. */
    public static function schoolIn(string $text, Method $method): ?Variant
    {
        foreach ($method->variants as $school) {
            $name = $school->calledFirst();
            if (
                mb_strlen($name) >= self::SHORTEST_NAME &&
                preg_match('/\d/', $name) !== 1 &&
                preg_match('/(?<!\p{L})'.preg_quote($name, '/').'(?!\p{L})/iu', $text) === 1
            ) {
                return $school;
            }
        }

        return null;
    }
}
