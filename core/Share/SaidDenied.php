<?php

declare(strict_types=1);

namespace Kettle\Share;

/** What a sentence says that it is not: "not for eating", "not before 12 December". Nothing is made of it, and that is told. */
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

    /**
     * @param  string  $left the sentence without it
     * @param  list<string>  $unread as it was said
     * @param  list<string>  $told what was taken of it
     */
    private function __construct(public string $left, public array $unread, public array $told) {}

    public static function in(string $text): self
    {
        // What is not dried has its water: to be wrong that way harms nobody.
        $fresh = preg_replace('/\bnot\s+(?:yet\s+)?(?:dried|dry)\b/iu', 'fresh', $text, -1, $many) ?? $text;
        $told = $many === 0 ? [] : ['“not dried” is taken as fresh.'];
        $denied = preg_match_all(self::DENIED, $fresh, $m) > 0 ? $m[0] : [];

        return new self(str_replace($denied, ' , ', $fresh), $denied, $told);
    }
}
