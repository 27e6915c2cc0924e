<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountException;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/** The amounts in what somebody else wrote, where nobody knows what is an amount and what is not. */
final readonly class WrittenAmounts
{
    /** So much of something, as it stands in a line: "1/2 cup", "20 g". */
    public const MUCH = '[\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔]*[ \t]*(?:'.UnitWords::ANY.')';

    /** Of what a stranger writes nobody knows whether "15.500 g" is a thousand's point. */
    private const THOUSANDS_POINT = '/(?<![\d.,])[1-9]\d{0,2}\.\d00\s*(?:ml|g|gr|grams?|millilit\p{L}*)\b/iu';

    /** What stands before an amount that is not to the gram. */
    private const ABOUT =
        '/^(?:'.AmountReader::ABOUT.')\b\.?\s+(?=[\d½¼¾⅓⅔⅛⅜⅝⅞.]|(?:an?|half|one|two|three|four|five|six|eight|ten|twelve)\b)/iu';

    /** So much of a measure, or of what a kitchen measures with and no table has. */
    private const AN_AMOUNT =
        '/[\d½¼¾⅓⅔][\d.\/]*\s*'.
        UnitWords::ANY.
        '(?!\p{L})|'.
        '\b(?:half\s+an?|an?|one|two|three)\s+(?:(?:big|small|large)\s+)?(?:mug|bowl|glass|jug|basket|scoop|ladle)(?:e?s|ful)?\b/iu';

    public function __construct(private Kitchen $kitchen) {}

    /** The first amount that stands anywhere in a line, as it is written. */
    public static function first(string $line): ?string
    {
        return preg_match(self::AN_AMOUNT, $line, $m) === 1 ? $m[0] : null;
    }

    /**
     * The amount a line begins with, as written, what comes after it, and one beside it in brackets. As many words as
     * can be read together are one amount: "1 lb 3 oz", "1 cup + 2 tbsp".
     *
     * @return array{?Amount, string, string, ?Amount}
     */
    public function amount(string $line): array
    {
        $line = Counts::inFigures(trim(preg_replace(self::ABOUT, '', $line) ?? $line));
        if (preg_match('/^[\d½¼¾⅓⅔⅛⅜⅝⅞.]/u', $line) !== 1) {
            return [null, '', $line, null];
        }
        $words = preg_split('/\s+/u', $line) ?: [];
        for ($many = min(9, count($words)); $many > 0; $many--) {
            $typed = rtrim(implode(' ', array_slice($words, 0, $many)), ',;:');
            if (preg_match('/\bof$/iu', $typed) === 1) {
                continue;
            }
            $read = $this->reading($typed);
            if ($read !== null) {
                [$rest, $aside] = $this->aside(implode(' ', array_slice($words, $many)));

                return [$read, $typed, trim(preg_replace('/^of\s+/i', '', $rest) ?? ''), $aside];
            }
        }

        return [null, '', $line, null];
    }

    /** @return array{float, string}|null how many parts a line begins with, and of what */
    public function parts(string $line): ?array
    {
        $count = $this->count($line);

        return $count !== null && preg_match('/^parts?\s+(?:of\s+)?(.+)$/iu', $count[2], $of) === 1 ? [$count[0], $of[1]] : null;
    }

    /** @return array{float, float, string}|null the least and most of a bare number a line begins with, and what comes after it */
    public function count(string $line): ?array
    {
        $line = Counts::inFigures(preg_replace(self::ABOUT, '', $line) ?? $line);
        $number = '(?:\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:\.\d+)?\s*[½¼¾⅓⅔]?|[½¼¾⅓⅔])';
        if (preg_match("/^({$number})(?:\s*(?:-|–|to|or)\s*({$number}))?\s+(\\p{L}.*)$/iu", $line, $m) !== 1) {
            return null;
        }
        try {
            $low = $this->kitchen->reader()->number($m[1]);

            return [$low, $m[2] === '' ? $low : $this->kitchen->reader()->number($m[2]), $m[3]];
        } catch (AmountException) {
            return null;
        }
    }

    /** By what a ratio is measured, as a wish has it behind the ratio: " w/w" of "by weight"; nothing where it is not said. */
    public static function measuredBy(string $said): string
    {
        return match (true) {
            str_contains($said, 'weight to volume') => ' w/v',
            str_contains($said, 'weight') => ' w/w',
            str_contains($said, 'volume') => ' v/v',
            default => $said,
        };
    }

    public function reading(string $typed): ?Amount
    {
        if (preg_match(self::THOUSANDS_POINT, $typed) === 1) {
            return null;
        }
        foreach ([Kind::Mass, Kind::Volume, Kind::Time] as $kind) {
            try {
                // A bare number of something is no amount that can be reckoned with, but for parts.
                if (preg_match('/[a-z]/i', $typed) !== 1) {
                    return null;
                }
                $amount = $this->kitchen->reader()->read($typed, $kind, $kind->value);

                return $amount->value > 0 ? $amount : null;
            } catch (AmountException) {
                continue;
            }
        }

        return null;
    }

    /** @return array<string, string> the amounts in a text that can be read two ways, as they are written, and what is asked of each */
    public function asked(string $text): array
    {
        $amount = '/(?<![\p{L}\d.,\/-])(?:\d[\d.,]*\s*(?:-|–|to)\s*)?\d[\d.,]*\s*'.UnitWords::ANY.'(?![\p{L}\d])/iu';
        // A sentence is read at every stroke of a key, and of most amounts nothing is to be asked.
        if (preg_match('/\d[.,]\d{3}|\d\s*(?:-|–|to)\s*\d/u', $text) !== 1) {
            return [];
        }
        $asked = [];
        foreach (preg_match_all($amount, $text, $m) > 0 ? $m[0] : [] as $typed) {
            if (preg_match(self::THOUSANDS_POINT, $typed) === 1) {
                $asked[$typed] = AmountException::ambiguousPoint($typed)->sentence;

                continue;
            }
            try {
                $this->kitchen->reader()->read($typed, OilLine::isPoured($typed) ? Kind::Volume : Kind::Mass, '');
            } catch (AmountException $asks) {
                if ($asks->reason === 'ambiguous') {
                    $asked[$typed] = $asks->sentence;
                }
            }
        }

        return $asked;
    }

    /** @return array{string, ?Amount} what is left of it without the amount in brackets or behind a stroke, and that amount */
    public function aside(string $rest): array
    {
        if (preg_match('/\(([^)]{1,30})\)|\/\s*(\d[\d.,]*\s*(?:'.UnitWords::ANY.'|c)\b)/iu', $rest, $m) !== 1) {
            return [$rest, null];
        }
        $amount = $this->reading(trim($m[2] ?? '') !== '' ? $m[2] : $m[1]);

        return $amount === null ? [$rest, null] : [trim(str_replace($m[0], ' ', $rest)), $amount];
    }
}
