<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\Figures;
use Kettle\Measure\Kind;

/**
 * How long and how warm the oil stands with its herb, among all the times and warmths of a recipe: "cool for 30 minutes"
 * and "keeps for a year" are no infusing, and "never above 140 F" is how warm it does not get.
 */
final readonly class InfusingTime
{
    /** A time, and the words before it. */
    private const TIME =
        '/((?:[\p{L}’\']+\s+){0,3})(\d+(?:\.\d+)?(?:\s*(?:-|–|to)\s*\d+(?:\.\d+)?)?\s*'.
        '(?:months?|weeks?|days?|d|hours?|hrs?|minutes?|mins?|h))\b/iu';

    /** "Prep: 10 min | Infuse: 4 weeks" is of two works, as are sentences. */
    private const SENTENCE = '/(?<=[.!;])(?<!\bmax\.)\s+|\s+[|•·]\s+/iu';

    /** "Wilt for 12 hours, then infuse for 4 weeks" is, too. */
    private const CLAUSE =
        '/,\s*(?:and\s+)?(?:then\s+)?|\s+(?:and\s+)?then\s+|'.
        '(?<=hour|hours|hrs|min|mins|minutes|days|week|weeks)\s+(?=(?:strain|filter|bottle|cool)\b)/iu';

    /** "Keep the water at 50 °C" is no warmth that it only has at first. */
    private const HELD = '/\b(?:keep|kept|hold|held|maintain\w*|between)\b/iu';

    /** How often, or how long it keeps. */
    private const NO_SPAN = '/\b(every|each|per|within|lasts?|keeps?|good)\s+(?:for\s+|up\s+to\s+|about\s+)*$/iu';

    /** Work that takes time before or after, or again and again. */
    private const OTHER_WORK =
        '/\b(prep\w*|active|hands[\s-]on|wilt\w*|dry|dries|drying|dried(?=\s+(?:for|at\s+least|over|\d))|cool\w*|settl\w*|rest\w*|'.
        'strain\w*|filter\w*|drain\w*|stirr?\w*|sterili[sz]\w*|bring|melt\w*|chill\w*|refrigerat\w*|fridge|freezer|moisten\w*|spirit|'.
        'vodka|brandy|blend\w*|blitz\w*|'.
        'shelf\s+life|total)\b/iu';

    private const INFUSES = '/\b(infus\w*|steep\w*|macerat\w*|simmer\w*|brew\w*)\b/iu';

    private const KEPT_WARM =
        '/\b(?:keep|kept|hold|held)\s+(?:it\s+|them\s+|just\s+|gently\s+)*(?:warm|hot)\b(?!\s+water)|'.
        '\b(?:warm|heat|cook)\s+(?:\p{L}+\s+){0,3}(?:on|over|at)\s+'.
        '(?:an?\s+|the\s+)?(?:very\s+)?(?:low(?:est)?|gentle)\s+(?:heat|flame|setting)\b/iu';

    private const LIMIT =
        '/\b(?:not|never|n[’\']t|avoid)\b.*\d{2,3}|\b(?:above|over|exceed\w*|more\s+than|hotter\s+than|beyond|past|under|below|'.
        'less\s+than|maximum(?:\s+of)?|max\.?|at\s+most|up\s+to)\s+(?:about\s+)?\d/iu';

    private const OVER = '(?:above|over|past|beyond|exceed\w*|hotter|warmer|more|higher)';

    /** A warmth it is not to go over: "never above 50 °C", "max 45 °C". "Not below 40 °C" is none. */
    private const MOST =
        '/(?:\b(?:not|never|avoid\w*|without)|n[’\']t)\b[^,;]*\b'.
        self::OVER.
        '\b[^,;]*\d{2,3}|'.
        '(?<!\bnot\s)(?<!\bnever\s)\b(?:under|below|less\s+than|maximum(?:\s+of)?|max\.?|at\s+most|up\s+to|'.
        'no\s+(?:more|hotter|warmer|higher)\s+than)\s+(?:about\s+)?\d{2,3}/iu';

    /** A sentence that does not say what it is about may be of the infusing; one that does goes before it. */
    private const MAYBE = 1;

    /** Under so many hours nothing infuses on a shelf. */
    public const NOT_ON_A_SHELF_H = 24;

    /** So many hours nothing is held warm without a cooker that is named: common practice, no source. */
    public const NOT_HELD_H = 72;

    /** The sentence says so, and what stands with the time says nothing. */
    private const LIKELY = 2;

    private const SURELY = 3;

    /**
     * @param  ?float  $hours in the oil
     * @param  string  $typed as it is written
     * @param  string  $line where it stands
     * @param  string  $warmLine where the warmth stands
     * @param  ?float  $mostC how warm it is to be at the most
     */
    private function __construct(
        public ?float $hours,
        public string $typed,
        public string $line,
        public ?float $celsius,
        public string $warmLine,
        public ?float $mostC,
    ) {}

    /** @param  list<string>  $lines */
    public static function of(array $lines, RecipeWords $words): self
    {
        [$best, $hours, $typed, $at, $celsius, $warmAt, $mostC] = [0, null, '', '', null, '', null];
        foreach ($lines as $line) {
            foreach (preg_split(self::SENTENCE, $line) ?: [] as $sentence) {
                $warm = $words->warmth($sentence);
                if ($celsius === null && $warm !== null && preg_match(self::LIMIT, $sentence) !== 1) {
                    [$celsius, $warmAt] = [$warm, $line];
                }
                if ($warm !== null && preg_match(self::MOST, $sentence) === 1 && ! self::isOtherWarmth($sentence)) {
                    $mostC = min($mostC ?? $warm, $warm);
                }
                foreach (self::times($sentence) as [$before, $said, $clause]) {
                    $said = self::inWeeks($said);
                    $time = preg_match(self::NO_SPAN, $before) === 1 ? null : $words->amounts->reading($said);
                    $sure = $time === null || $time->kind !== Kind::Time ? 0 : self::sure($clause, $sentence, $time->value, $words);
                    if ($time !== null && $sure > $best) {
                        [$best, $hours, $typed, $at] = [$sure, $time->value, $said, $line];
                    }
                }
            }
        }

        return new self($hours, $typed, $at, $celsius, $warmAt, $mostC);
    }

    /** "For a year", "half a year": so many months. What keeps for a year, or is a year old, stands no year in its oil. */
    public static function yearsInMonths(string $text): string
    {
        $before = '/\b(?<!keeps\s)(?<!keep\s)(?<!kept\s)(?<!lasts\s)(?<!good\s)for\s+(?:about\s+)?';

        return preg_replace(
            [$before.'half\s+(?:an?\s+)?year\b/iu', $before.'(?:(?:an?|one|1|a\s+(?:whole|full))\s+)?year\b(?![\s-]*olds?\b)/iu'],
            ['for 6 months', 'for 12 months'],
            $text,
        ) ?? $text;
    }

    /** How warm the herb is dried or the bottle kept, and no warmth of the infusing. */
    private static function isOtherWarmth(string $sentence): bool
    {
        return preg_match('/\b(?:dry|dries|dried|drying|dehydrat\w*|store\w*|bottle\w*|fridge)\b/iu', $sentence) === 1;
    }

    /** A month is no fixed time: so many weeks are the nearest. What is not in months stays as it is. */
    public static function inWeeks(string $said): string
    {
        $weeks = fn (string $months) => (string) round(((float) $months * 365.25) / 12 / 7);

        return preg_replace_callback(
            '/^(\d[\d.]*)(?:\s*(?:-|–|to)\s*(\d[\d.]*))?\s*months?$/iu',
            fn (array $m) => $weeks($m[1]).(isset($m[2]) ? ' to '.$weeks($m[2]) : '').' weeks',
            trim($said),
        ) ?? $said;
    }

    /** @return list<array{string, string, string}> the words before each time of a sentence, the time, and what it stands in */
    private static function times(string $sentence): array
    {
        $found = [];
        $clauses = preg_split(self::CLAUSE, Figures::inSentence(" {$sentence} ")) ?: [];
        foreach ($clauses as $clause) {
            preg_match_all(self::TIME, " {$clause}", $all, PREG_SET_ORDER);
            foreach ($all as [, $before, $said]) {
                $found[] = [$before, $said, $clause];
            }
        }

        // A time by itself is of the whole sentence, wherever a comma stands in it.
        return count($found) > 1 ? $found : array_map(fn (array $each) => [$each[0], $each[1], $sentence], $found);
    }

    /** Whether the warmth is said to be held. */
    public function isHeld(): bool
    {
        return preg_match(self::HELD, $this->warmLine) === 1;
    }

    /** What stands with the time says what it is of, and where that says nothing the sentence does. */
    private static function sure(string $clause, string $sentence, float $hours, RecipeWords $words): int
    {
        foreach ([self::SURELY => $clause, self::LIKELY => $sentence] as $sure => $text) {
            // Any words of waiting mean the shelf, where nothing is done in minutes.
            $ways = array_diff(WayWords::in($text), $hours < self::NOT_ON_A_SHELF_H ? ['cold'] : []);
            if ($ways !== [] || preg_match(self::INFUSES, $text) === 1 || preg_match(self::KEPT_WARM, $text) === 1) {
                return $clause === $sentence ? self::SURELY : $sure;
            }
            if (preg_match(self::OTHER_WORK, $text) === 1) {
                return 0;
            }
        }

        return self::MAYBE;
    }
}
