<?php

declare(strict_types=1);

namespace Kettle\Material;

/** How a herb was put into a jar or a cup. The value is the word it is kept by, and the column of the forms' table. */
enum Lying: string
{
    /** Tipped in and shaken level, as it lies by itself. */
    case Loose = 'loose';

    /** Pressed down with the fingers. */
    case Packed = 'packed';

    /** As much as goes in. */
    case Stuffed = 'stuffed';

    private const WORDS = [
        'stuffed' => '/\b(?:stuffed|crammed|tightly[ -]packed)(?: full)?\b/iu',
        'loose' => '/\b(?:(?:loosely|lightly)(?:[ -](?:packed|filled))?|loose)\b/iu',
        'packed' => '/\b(?:(?:firmly|well)[ -])?(?:packed|pressed)(?: (?:down|in))?\b/iu',
    ];

    /**
     * An amount as it was typed, without the words for how it lies: "2 cups, packed" is "2 cups" and packed.
     *
     * @return array{string, ?self} null where nothing was said of it
     */
    public static function in(string $typed): array
    {
        foreach (self::WORDS as $how => $words) {
            $bare = preg_replace($words, ' ', $typed, 1, $found) ?? $typed;
            if ($found === 1) {
                return [trim(preg_replace('/\s+/u', ' ', $bare) ?? $bare, ' ,'), self::from($how)];
            }
        }

        return [$typed, null];
    }
}
