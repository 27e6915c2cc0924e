<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Measure\UnitWords;

/** What a recipe is called, and what it leaves to its title: which plant a part is of, and how much herb goes to how much oil. */
final readonly class RecipeTitle
{
    /** "Three herb oil" is what it is called. */
    private const OF_SO_MANY = '/^(?:two|three|four|five|six|seven)[\s-]+(?:herb|flower|root|leaf|plant)\b.*\b(?:oil|salve|balm)$/iu';

    /** "Lip balm (12 tubes)". */
    public const SO_MANY = '\d{1,3}\s+(?:tubes|tins|jars|pots|bars|sticks|bottles)';

    private const RATIO =
        '(?<herb>\d{1,2}(?:\.\d+)?)\s*:\s*(?<oil>\d{1,2}(?:\.\d+)?)\s*\(?\s*'.'(?<by>w\/w|w\/v|v\/v|by\s(?:weight|volume))?\s*\)?';

    /** "Calendula oil 1:5 (dried)". */
    private const RATIO_OF_TITLE =
        '/(?<=\boil|\boils|\boil\s\(|\boil,|\boil\sbase|\bbase)\s*[(–—-]?\s*'.self::RATIO.'(?=\s*(?:$|\(|,))/iu';

    private const RATIO_LINE =
        '/^\W*(?:(?:(?:herb|plant)(?:\s*(?:to|:)\s*|\s+)oil\s+)?(?:ratio|strength)(?:\s+(?:of\s+)?herb\s+to\s+oil)?'.
        '\s*(?:[:=]|\bis\b|\bof\b)?\s*|(?=1\s*:\s*\d))'.
        self::RATIO.
        '\W*$/iu';

    /** What stands before how much it makes, or how long it takes, and is no name. */
    private const NO_NAME =
        '/^\W*(?:yields?|makes?|serves|servings?|prep\w*|time|total|'.
        'ready\s+in|difficulty|level|source|from|by)\b\s*(?::|\d|$|time\b|about\b)/iu';

    private Counts $counts;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words, private RecipeLines $lines)
    {
        $this->counts = new Counts($cupboard->tables());
    }

    /** The first line of a recipe, where it is what the recipe is called: "Chilli oil (100 mL)", and not "olive oil (100 mL)". */
    public function is(string $line): bool
    {
        $title = self::titleOf($line);
        $isSized = preg_match('/^'.preg_quote($title, '/').'\s*\(\s*(?:about\s+)?\d(?![\d.]*\s*:)/u', $line) === 1;
        if ($isSized && $this->words->namesHerb($title) === false) {
            return false;
        }
        $line = $title;
        if (preg_match(self::NO_NAME, $line) === 1 || $this->isHerbAsItIs($line)) {
            return false;
        }

        return ! $this->lines->isHeading($line) &&
            $this->isName($line) &&
            ($this->words->amounts->count($line) === null || $this->isOneOil($line) || preg_match(self::OF_SO_MANY, $line) === 1) &&
            // "Comfrey flower oil" is no flower that is counted.
            (! $this->counts->isCounted($line) || preg_match('/\b(?:oil|salve|balm|ointment|rub|base)$/iu', $line) === 1);
    }

    /** "Rosemary, dried" is what goes in, and no name of what comes of it. */
    private function isHerbAsItIs(string $line): bool
    {
        $bare = preg_replace('/[,()]|\b(?:'.RecipeLines::STATES.'|wilted)\b/iu', ' ', $line, -1, $said) ?? $line;
        $isMade = preg_match('/\b(?:oils?|salves?|balms?|ointments?|rubs?|butters?|creams?)\b/iu', $line) === 1;

        return $said > 0 && ! $isMade && $this->lines->isThing(trim(preg_replace('/\s+/u', ' ', $bare) ?? $bare));
    }

    /** What a first line calls it, without how much it makes: "Calendula oil - makes 2 cups". */
    public static function titleOf(string $line): string
    {
        return preg_replace(
            '/\s*\(\s*'.
                self::SO_MANY.
                '\s*\)\W*$|\s*(?:[,:;]|\s[-–—\/]|\()\s*(?:makes?|yields?|serves)\b.*$|\s*:\s*$|(?<=\boil)\s*\(\s*(?:about\s+)?\d[\d.]*\s*'.
                UnitWords::ANY.
                '\s*\)$/iu',
            '',
            rtrim(preg_replace([self::RATIO_OF_TITLE, '/[\p{So}\x{FE0F}\x{200D}\s]+$/u'], [' ', ''], $line) ?? $line),
        ) ?? $line;
    }

    /** @return ?string how much herb to how much oil a line says it is, as a wish has it: "Calendula oil 1:5", "Ratio: 1:5 (w/v)" */
    public static function ratio(string $line, bool $isTitle): ?string
    {
        if (preg_match($isTitle ? self::RATIO_OF_TITLE : self::RATIO_LINE, $line, $m) !== 1) {
            return null;
        }
        $by = ($m['by'] ?? '') === '' ? '' : ' '.$m['by'];

        return "{$m['herb']}:{$m['oil']}".WrittenAmounts::measuredBy(mb_strtolower($by));
    }

    /** Whether a line says "an oil", as a name does: so much of it is none. */
    private function isOneOil(string $line): bool
    {
        return preg_match('/^an?\s.*\boil\b/iu', $line) === 1 &&
            $this->words->amounts->parts($line) === null &&
            $this->words->amounts->amount($line)[0] === null;
    }

    /**
     * "1 cup petals" under "Calendula oil" is of calendula petals: with the plant that the title names, and what is told of it.
     *
     * @return array{string, ?string} the line, and the plant and its part where it names none itself
     */
    public function partInFull(string $line, string $title): array
    {
        $part = '(?:flowering\s+)?'.PlantPart::any().'|herbs?|plant(?:\s+(?:material|matter))?';
        $said =
            '[\d\s½¼¾⅓⅔.,:;()\/–-]|(?:'.
            UnitWords::ANY.
            '|c|take|use|add|fill(?:ed)?|pack|(?:clean|dry|glass)?\s*jars?|with|full|my|your|tightly|'.
            'handfuls?|parts?|of|the|about|some|an?|and|or|half|'.
            RecipeLines::STATES.
            '|dry|'.
            RecipeLines::LYING.
            '|whole|organic|finely|coarsely|roughly|freshly|loosely|picked|chopped|crushed|cut|torn|sifted|washed|'.
            'crumbled|bruised|in\s+an?\s+mortar)(?![\p{L}])';
        $more =
            '(?:[,(]|[-–—]\s)\s*(?:frozen|defrosted|thawed|stripped|picked\s+over|'.
            'no\s+stalks?|stalks?\s+removed)\b\D*|(?:[,(]|[-–—]\s)\s*enough\s+to\s+fill\b.*';
        if (
            $title === '' ||
            $this->lines->isHeading($line) ||
            preg_match("/^(?:{$said})*(?<![\p{L}])({$part})(?![\p{L}])(?:{$said})*(?:{$more})?$/iu", $line, $m, PREG_OFFSET_CAPTURE) !==
                1 ||
            $this->words->namesHerb($line)
        ) {
            return [$line, null];
        }
        [$named, $at] = $m[1];
        $full = $this->words->partOf(preg_replace('/\s*\([^()]*\)/u', '', $title) ?? $title, $named);

        return $full === null ? [$line, null] : [substr_replace($line, $full, $at, strlen($named)), $full];
    }

    /** A first line with no amount in it, that is neither a step nor only the name of a herb or an oil. */
    public function isName(string $line): bool
    {
        $bare = mb_strtolower(trim($line));
        foreach ([...$this->cupboard->herbs(), ...$this->cupboard->carriers()] as $known) {
            if ($bare === mb_strtolower($known->name)) {
                return false;
            }
        }

        // "Leave-in hair oil" is a name, "Fill a jar with petals" none.
        $step =
            $this->lines->isStep($line) &&
            (str_ends_with($bare, '.') ||
                $this->words->knownHerb($line) !== null ||
                preg_match('/\b(?:oil|salve|balm|rub)s?$/u', $bare) !== 1);

        $is = RecipeLines::inFigures($line) === $line && preg_match('/^take\s.*\.$/iu', $bare) !== 1;

        // "Slow cooker calendula oil" is a name that says how it is made.
        $isWay = WayWords::isSaid($line) && preg_match('/^[^,;:.]*\b(?:oil|salve|balm|ointment)$/u', $bare) !== 1;

        return $is && preg_match('/\d|[½¼¾⅓⅔]/u', $line) !== 1 && mb_strlen($line) <= 80 && ! $isWay && ! $step;
    }
}
