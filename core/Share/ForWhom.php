<?php

declare(strict_types=1);

namespace Kettle\Share;

/**
 * Whom something is made for, where a text says so. Who may bear less than others is heeded at the first word of it: to be wrong
 * that way harms nobody, and is told.
 */
final class ForWhom
{
    private const SMALL =
        '(?:(?:small|young|little)\s+)?(?:(?:grand)?child(?:ren)?|toddlers?|kids?|bab(?:y|ies)|infants?|'.
        'grandsons?|granddaughters?|little\s+ones?';

    public const CHILD = self::SMALL.'|newborns?)\b(?:[\'’]s?\b)?';

    /** "A 3 year old", "my two-year-old"; from twelve on nobody calls one small. */
    public const BY_AGE =
        '(?:an?|my|our|the)\s+(?:[1-9]|1[01]|one|two|three|four|five|six|seven|eight|nine|ten)[\s-]?'.
        '(?:(?:years?|yrs?|months?|mths?)\.?[\s-]olds?|y[\/.]?\s?o)\b\.?';

    /** As data/melt.json has them: in the name of a product, whose it is. */
    private const IN_NAME = [
        'newborn' => '/\bnew[\s-]?borns?\b/iu',
        'child' => '/\b'.self::SMALL.'|diaper|nappy)\b/iu',
        'pregnancy' => '/'.ForQualified::WITH_CHILD.'|\bnursing\b|\bstretch[\s-]?marks?\b/iu',
        'asthma' => '/\basthma(?:tics?)?\b/iu',
    ];

    private const SAYS = [
        'newborn' => 'It is for a newborn: it is planned so.',
        'child' => 'It is for a small child: it is planned so, and its scents held to what suits one.',
        'pregnancy' => 'It is for somebody pregnant or nursing: it is planned so.',
        'asthma' => 'It is for somebody with asthma: it is planned so.',
    ];

    /** What stands before the people for whom something is good, and not before those for whom it is not. */
    private const MEANT_FOR =
        '/(?<!not\s)(?<!n[’\']t\s)\b(?:made|meant|safe|gentle|suitable|good|mild)\s+(?:enough\s+)?for\s+'.
        '(?:an?\s+|the\s+|my\s+|our\s+)?';

    /**
     * @return array<string, string> ids of people as data/melt.json has them, and what is told of each
     */
    public static function ofProduct(string $name, string $text): array
    {
        $name = preg_replace(RecipeWords::NOT_FOR, '', $name) ?? $name;
        $found = array_filter(self::IN_NAME, fn (string $people) => preg_match($people, $name) === 1);
        if (preg_match(self::MEANT_FOR.self::CHILD.'/iu', $text) === 1) {
            $found['child'] = self::IN_NAME['child'];
        }

        return array_intersect_key(self::SAYS, $found);
    }
}
