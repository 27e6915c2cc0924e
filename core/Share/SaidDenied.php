<?php

declare(strict_types=1);

namespace Kettle\Share;

/**
 * What a sentence says that it is not, or that is not to be done: "not for eating", "don't use the slow cooker". Nothing is made of it,
 * and that is told.
 */
final readonly class SaidDenied
{
    /** Words behind "not" that deny nothing by themselves, or are read with it: "not squeezed", "not more than". */
    private const OTHERS =
        '(?:squeezed|strained|wilted|more|less|above|over|hotter|warmer|longer|yet|only|too|so|much|many|as|sure|quite|'.
        'in\s+the\s+dark)\b';

    private const DENIED =
        '/(?<!\bdo\s)(?<!\bdoes\s)(?<!\bdid\s)\bnot\s+(?!'.
        self::OTHERS.
        ')(?:(?:before|until)\s+(?:the\s+)?'.
        SaidDay::PATTERN.
        '|(?:(?:for|in|by|with|on|to)\s+)?(?:(?:an?|the|my|our|any|be)\s+)?\p{L}[\p{L}\d\'’-]*'.
        '(?:\s+(?:jars?|oil|boiler|cooker|bath|maker|olds?))?)(?![\p{L}\d])/iu';

    private const DO_NOT = '(?:(?:please\s+)?do\s+not|(?:please\s+)?don[’\']?t|never)';

    /** What is said with "do not" and is known the other way round, each by the words it is known by. */
    private const OTHERWISE = [
        '/\bnever\s+(?:heat|warm|cook)(?:ed)?\b/iu' => 'unheated',
        '/\b(?:is|are|was|were)(?:\s+not|n[’\']?t)\b/iu' => 'not',
        '/\b(?:i\s+)?'.self::DO_NOT.'\s+(?:have|own|use)\s+(?:(?:an?|the|my|any)\s+)?(?=\p{L})/iu' => 'no ',
        '/\b(?:'.self::DO_NOT.'\s+squeezed?|(?:without|no)\s+squeezing)(?:\s+(?:it|the\s+herbs?))?\b/iu' => 'not squeezed',
        '/\b(?:'.self::DO_NOT.'\s+strain(?:ed)?|(?:without|no)\s+straining)(?:\s+it)?\b(?!\s+twice)/iu' => 'not strained',
    ];

    private const BREATH_ENDS = '(?=\s*(?:[,;.]|\b(?:and|but|then|just|only)\s|$))';

    /** What is not to be done, to the end of what is said in one breath; not to heat it is a way of its own. */
    private const NOT_DONE =
        '/\b(?:i\s+)?'.
        self::DO_NOT.
        '\s+(?!heat|warm|cook)(?![^,;]*\d{2,3}\s*(?:°|º|deg\p{L}*)?\s*[CF]\b)\p{L}[^,;.]*?'.
        self::BREATH_ENDS.
        '|'.
        '\bkeep\s+(?:it\s+)?(?:out\s+of|off|away\s+from)\s+(?!(?:the\s+|direct\s+|full\s+|strong\s+)*(?:sun|light|heat))'.
        '(?:an?|the|my|our)\s+\p{L}+(?:\s+(?:jar|boiler|cooker|bath|maker))?/iu';

    /**
     * @param  string  $left the sentence without it
     * @param  list<string>  $unread as it was said
     * @param  list<string>  $told what was taken of it
     */
    private function __construct(public string $left, public array $unread, public array $told) {}

    public static function in(string $text): self
    {
        // What is not dried has its water: to be wrong that way harms nobody.
        $known = preg_replace(array_keys(self::OTHERWISE), array_values(self::OTHERWISE), $text) ?? $text;
        $fresh = preg_replace('/\b(?:not\s+(?:yet\s+)?(?:dried|dry)|undried)\b/iu', 'fresh', $known, -1, $many) ?? $known;
        $told = $many === 0 ? [] : ['“not dried” is taken as fresh.'];
        $denied = [];
        foreach ([self::NOT_DONE, self::DENIED] as $pattern) {
            preg_match_all($pattern, $fresh, $m);
            $denied = [...$denied, ...$m[0]];
            $fresh = str_replace($m[0], ' , ', $fresh);
        }

        return new self($fresh, $denied, $told);
    }
}
