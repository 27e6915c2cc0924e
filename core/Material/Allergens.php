<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What people are allergic to, as somebody writes it of a thing: with commas between, or that there is none. */
final class Allergens
{
    private const NONE =
        '(?:no|none|nil|nothing|0|-|–|n\/a|allergen[\s-]free|'.
        '(?:none|no|nothing|not)\s+(?:known|any|allergens?|known allergens?|at all|in it))';

    private const UNKNOWN = '(?:\?+|unknown|not known|not sure|don[’\']t know|do not know|nobody knows|tbc)';

    /** What stands before the name of one; what there may be a trace of is told as what is in it. */
    private const BEFORE =
        '/^(?:it\s+)?(?:(?:may\s+)?contains?|has|(?:may\s+(?:have|hold)\s+)?traces?\s+of|may\s+have)\s*:?\s+'.'(?:traces?\s+of\s+)?/iu';

    /** "nut free", "free from nuts", "no nuts": what is not in it. */
    private const WITHOUT = '/^(?:free\s+(?:of|from)|without|no|not|contains?\s+no|does\s+not)\s|[\s-]free$/iu';

    /**
     * @return ?list<string> none where it says so; null where it says that nobody knows
     *
     * @throws MaterialException where it says what is not in it
     */
    public static function typed(string $typed): ?array
    {
        return self::named(preg_split('/[;|,\n](?![^(]*\))/u', $typed) ?: []);
    }

    /**
     * @param  array<string>  $names each by itself
     * @return ?list<string>
     *
     * @throws MaterialException where one of them says what is not in it, or that the rest is not known
     */
    public static function named(array $names): ?array
    {
        // By letters and not by bytes: the last of "à" is the last of a space that does not break.
        $bare = fn (string $name): string => preg_replace('/^[\s.\x{A0}]+|[\s.\x{A0}]+$/u', '', $name) ?? '';
        $names = array_values(array_filter(array_map($bare, $names), fn (string $name) => $name !== ''));
        if (count($names) === 1 && preg_match('/^'.self::NONE.'$/iu', $names[0]) === 1) {
            return [];
        }
        $found = [];
        foreach ($names as $name) {
            if (preg_match('/^'.self::UNKNOWN.'$/iu', $name) === 1) {
                // Beside one that is known it says nothing, and must not take that one away.
                return count($names) === 1 ? null : throw MaterialException::allergenUnknown($name);
            }
            if (preg_match(self::WITHOUT, $name) === 1 || preg_match('/^'.self::NONE.'$/iu', $name) === 1) {
                throw MaterialException::allergenFree($name);
            }
            $found[] = preg_replace(self::BEFORE, '', $name) ?? $name;
        }

        return array_values(array_unique($found));
    }
}
