<?php

declare(strict_types=1);

namespace Kettle\Material;

/** Names as people type them, held against names as they are written. */
final class Names
{
    /** Letters a word must have for so many of them to be wrong. */
    private const WRONG = [8 => 2, 5 => 1];

    /** Without capitals, accents, dashes and the ending of the plural. */
    public static function plain(string $name): string
    {
        $plain = self::letters($name);

        return preg_replace(['/ies\b/', '/(?<=[^s])oes\b/', '/(?<=[a-z]{3})(?<!s)s\b/'], ['y', 'o', ''], $plain) ?? $plain;
    }

    /** "St. John" without its point, which is no end of a sentence, and "vit. E" in full. */
    public static function withoutPoints(string $text): string
    {
        return preg_replace(['/\bSt\.\s*(?=\p{L})/iu', '/\bvit\.?[\s-]*e\b/iu'], ['St ', 'vitamin E'], $text) ?? $text;
    }

    public static function withoutAccents(string $name): string
    {
        if (preg_match('/[^\x00-\x7F]/', $name) !== 1) {
            return $name;
        }
        $apart = \Normalizer::normalize($name, \Normalizer::FORM_D);

        return preg_replace('/\p{Mn}+/u', '', is_string($apart) ? $apart : $name) ?? '';
    }

    /** Whether a name has in it what was typed of it: "st johns" is in "St John’s wort". */
    public static function has(string $name, string $typed): bool
    {
        return self::having($typed)($name);
    }

    /** @return \Closure(string): bool the same of one thing typed and many names */
    public static function having(string $typed): \Closure
    {
        $sought = self::letters($typed);

        return fn (string $name): bool => $sought !== '' && str_contains(self::letters($name), $sought);
    }

    /**
     * What was most likely meant by a word that is no name here: the name that is fewest letters away from it, as a whole or
     * by a word of it. Two letters that changed places are one wrong, as in the optimal string alignment distance.
     *
     * @param  array<string|int, list<string>>  $names by what they name
     * @return array<string|int, string> the nearest, and what in the name of each was meant; none where nothing is near enough
     */
    public static function nearest(string $typed, array $names): array
    {
        $sought = self::plain($typed);
        $most = self::wrong($sought);
        $near = $meant = [];
        foreach ($most === 0 ? [] : $names as $of => $each) {
            foreach ($each as $name) {
                $plain = self::plain($name);
                foreach (array_unique([$plain, ...explode(' ', $plain)]) as $word) {
                    // By its first letter at least; a short word near a long one is another.
                    if (abs(strlen($word) - strlen($sought)) > $most || self::wrong($word) === 0 || $word[0] !== $sought[0]) {
                        continue;
                    }
                    $away = self::apart($sought, $word);
                    if ($away <= $most && $away < ($near[$of] ?? PHP_INT_MAX)) {
                        [$near[$of], $meant[$of]] = [$away, $word];
                    }
                }
            }
        }

        return $near === [] ? [] : array_intersect_key($meant, array_flip(array_keys($near, min($near), true)));
    }

    private static function wrong(string $word): int
    {
        foreach (self::WRONG as $letters => $wrong) {
            if (strlen($word) >= $letters) {
                return $wrong;
            }
        }

        return 0;
    }

    /** Letters put in, left out, changed, or changed places with the next, from one word to another. */
    private static function apart(string $a, string $b): int
    {
        $rows = [range(0, strlen($b))];
        for ($i = 1; $i <= strlen($a); $i++) {
            $rows[$i] = [$i];
            for ($j = 1; $j <= strlen($b); $j++) {
                $rows[$i][$j] = min(
                    $rows[$i - 1][$j] + 1,
                    $rows[$i][$j - 1] + 1,
                    $rows[$i - 1][$j - 1] + ($a[$i - 1] === $b[$j - 1] ? 0 : 1),
                    $i > 1 && $j > 1 && $a[$i - 1] === $b[$j - 2] && $a[$i - 2] === $b[$j - 1] ? $rows[$i - 2][$j - 2] + 1 : PHP_INT_MAX,
                );
            }
        }

        return $rows[strlen($a)][strlen($b)];
    }

    private static function letters(string $name): string
    {
        $bare = self::withoutAccents(str_replace(['’', "'"], '', $name));

        return mb_strtolower(trim(preg_replace('/[^\p{L}\p{N}]+/u', ' ', $bare) ?? ''));
    }
}
