<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Names;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;

/** The lines of a written recipe: whether each is a name, a heading, a step or an ingredient. */
final readonly class RecipeLines
{
    /** What is put in once more. */
    public const MORE_OF_IT = '(?:then\s+)?add\s+(?:a\s+further|another|an\s+(?:additional|extra))';

    /** What begins a line that tells what to do; words that begin a name as well do so only before such as "the" or "in". */
    private const STEP =
        '/^(?:(?:then|next|now|first|finally|when|once|after|gently|carefully|slowly)\b,?\s*)*'.
        '(?:(?:pour|pick|strain|stir|shake|cover|fill|put|place|set|leave|let|allow|melt|bring|turn|remove|add|combine|'.
        'squeeze|bottle|label|store|keep|seal|cap|wash|wait|check|'.
        'use|apply|do\s+not|don[’\']?t|infuse|steep|simmer|gather|harvest|collect|'.
        'spread|filter|discard|transfer|wipe|decant|swirl|crumble|tap|rinse|hang|screw|tie|secure|repeat|refill|ensure|push|submerge|'.
        'agitate|sift|sterili[sz]e|tear|wring|drain|macerate|close|lift)\b(?!-)|'.
        '(?:heat|warm|mix|blend|press|cut|chop|crush|grind|dry|clean|make|be|rub|massage|cook|bake|wilt|pack|top|line|poke|bruise|'.
        'pound|slice|open|date)\s+'.
        '(?:it|them|the|an?|all|your|up|in|on|to|with|until|over|well|gently|sure|down|out|through)\b)/iu';

    /** What is done with so much of a thing, right before how much. */
    private const BEFORE_AMOUNT =
        'take|use|add|pour|mix|combine|put|place|'.
        'infuse|steep|macerate|crumble|chop|grind|crush|tear|bruise|slice|grate|cut|wash|rinse|warm|heat|'.
        'weigh(?:\s+out)?|measure(?:\s+out)?';

    /** What stands over the things, or over what is done with them. */
    public const HEADING =
        'ingredients?|method|directions|instructions|you\s+will\s+need|'.'for\s+the\s+(?:oil|salve|balm|ointment|cream|infusion)';

    /** How a measured herb lies. */
    public const LYING = '(?:(?:loosely|lightly|firmly|tightly|well)[ \t-]+)?(?:packed|heaped|heaping)';

    private const SPOONS = 'mugs?|'.UnitWords::CUPS.'|'.UnitWords::SPOONS;

    /** How full a spoon or a cup is. */
    public const HEAPED = '(?:heaped|heaping|rounded|level|scant|generous)';

    private const A_SPOON_BEHIND =
        '/^(\p{L}[^:,\d]*?)(?:\s*(?:[,:]|\s[-–—])\s*an?\s+((?:'.
        self::HEAPED.
        '\s+)?(?:'.
        self::SPOONS.
        '))|(?:\s*[,:]|\s[-–—])?\s*([\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔ ]*\s'.
        self::HEAPED.
        '\s+(?:'.
        self::SPOONS.
        ')))$/iu';

    /** How many of them: "2", "a", or none before "heaped tablespoon". */
    private const OF_SPOONS = '((?:[\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔ ]*|an?\s+|one\s+|two\s+|three\s+)?)';

    /** A measure that is a little more or less of it, or no more and no less. */
    private const ABOUT_SO_MUCH = '(?:scant|generous|level|rounded|good|big|large|full)';

    public const STATES = 'dried|fresh|wilted|frozen|powdered|ground';

    /** How a herb is, behind it or behind its amount. */
    public const STATE = '(?:\(\s*)?(?:'.self::STATES.')(?:\s*\))?';

    /** What was done with a herb before it goes in, behind its amount. */
    public const PREPARED =
        '(?:(?:finely|roughly|coarsely|freshly|lightly|thinly|well)\s+)?'.
        '(?:grated|chopped|crushed|sliced|cut|torn|crumbled|bruised|minced|cracked|peeled|shredded|bashed|pounded|rubbed|'.
        self::STATES.
        ')(?:\s+(?:small|fine|up|in\s+an?\s+mortar|by\s+hand))?';

    /** Between two of which one is meant. */
    private const OR = '/,?\s+or\s+|(?<=\p{L}{3})\/(?=\p{L}{3})/iu';

    /** What it may be instead, in brackets. */
    private const OR_ELSE = '/\s*\(\s*or\b[^()]*\)/iu';

    /** So many cups, or a little more or less. */
    private const SO_MUCH =
        '/^\W*(?:[\d½¼¾⅓⅔\/]+|an?|one|two|three)?\s*(?:scant|generous|rounded|good|big|large)\s+(?:'.self::SPOONS.'|handfuls?)\b/iu';

    private Counts $counts;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words)
    {
        $this->counts = new Counts($cupboard->tables());
    }

    /**
     * An ingredient with its amount before it, however it is written: "olive oil: 250 ml", "beeswax 20 g", "calendula, a
     * handful", "olive oil (1 cup)", "take 1 oz of petals". What is no ingredient stays as it is.
     */
    public function amountFirst(string $line): string
    {
        // "Cover with olive oil (about 3/4 litre)": so much of it.
        $line =
            preg_replace(
                '/^(?:(?:cover|top(?:\s+up)?|fill(?:\s+up)?)\s+(?:it\s+|them\s+)?with|pour\s+(?:in|over|on))\s+'.
                    '(?=[^()\d]*\boil\b[^()\d]*\([^()]*\d)/iu',
                '',
                $line,
            ) ?? $line;
        // The point behind a bracket ends the sentence, and nothing of the amount in it.
        $line = preg_replace('/(?<=\))\.$/u', '', $line) ?? $line;
        // "Shea butter, a heaped tbsp".
        $line =
            preg_replace_callback(self::A_SPOON_BEHIND, fn (array $m) => ($m[3] ?? '1 '.($m[2] ?? '')).' '.trim($m[1]), $line) ??
            $line;
        $line = $this->firstOf(self::asides(self::inFigures($line)));
        $verb =
            '/^(?:(?:for\s+(?:this|the|my|our)\s+(?:\p{L}+\s*){1,3},?\s+)?(?:you|we)(?:[’\']ll|\s+will)?\s+(?:need|use)(?:\s+about)?|'.
            self::MORE_OF_IT.
            '|'.
            self::BEFORE_AMOUNT.
            ')\s+'.
            '(?=(?:(?:'.
            AmountReader::ABOUT.
            ')\s+)?(?:[\d½¼¾⅓⅔]|(?:an?|half|one|two|three|four|five|six)\b))/iu';
        $bare = preg_replace($verb, '', $line) ?? $line;
        [$amount, , $of] = $bare === $line ? [null, '', ''] : $this->words->amounts->amount($bare);
        // "Take a quart jar" is no ingredient.
        if ($amount !== null && preg_match('/^(?:\S+\s+)?(?:jars?|bottles?|pans?|bowls?)\b/iu', $of) !== 1) {
            return $bare;
        }
        $counted = $bare === $line || $amount !== null ? null : $this->words->amounts->count($bare);
        if ($counted !== null && $this->isOfCounted($counted[2])) {
            return $bare;
        }
        // "Calendula (dried), 1 cup, loosely packed".
        $line = preg_replace('/\s*\(\s*('.self::STATES.')\s*\)(?=\s*[,:]|\s+[-–—]\s)/iu', ' $1', $line) ?? $line;
        // "Calendula 30 g, dried" and "calendula (30 g, dried)" are dried calendula.
        $line = preg_replace('/\(\s*([^(),]*\d[^(),]*),\s*('.self::STATE.')\s*\)$/iu', '($1) $2', $line) ?? $line;
        $line =
            preg_replace_callback(
                '/^(\p{L}[^\d½¼¾⅓⅔]*[\d½¼¾⅓⅔].*?[\p{L})]\.?)(?:,?\s+('.
                    self::STATE.
                    ')|,?\s+((?:'.
                    self::PREPARED.
                    '(?:\s*,|\s+and\b)?\s*)+))$/iu',
                fn (array $m) => trim($m[3] ?? ($m[2] ?? ''), '() ').' '.$m[1],
                $line,
            ) ?? $line;
        $lies = preg_match('/,?\s+('.self::LYING.')$/iu', $line, $m) === 1 ? $m : null;
        $line = $lies === null ? $line : mb_substr($line, 0, -mb_strlen($lies[0]));
        $first = $this->firstOf($this->amountBefore($line));

        return $lies === null ? $first : ($first === $line ? $line.$lies[0] : "{$first}, {$lies[1]}");
    }

    /** "A scant cup", "2 heaped tablespoons", "half litre": the measure that it is, in figures. */
    public static function inFigures(string $line): string
    {
        $heaped = preg_replace(
            '/^'.self::OF_SPOONS.'(?:slightly\s+)?(?:heap(?:ed|ing))\s+('.self::SPOONS.')\b(.*)$/iu',
            '$1$2$3, heaped',
            $line,
        );
        $even = preg_replace(
            '/^'.self::OF_SPOONS.self::ABOUT_SO_MUCH.'\s+('.self::SPOONS.'|handfuls?)\b/iu',
            '$1$2',
            $heaped ?? $line,
        );

        return Figures::atFront(preg_replace('/^('.self::SPOONS.')\b(?!\s*$)/iu', '1 $1', $even ?? $line) ?? $line);
    }

    /** "28g/1oz calendula" has the one beside the other; "2 oz dried (or 4 oz fresh)" is of the dried. */
    private static function asides(string $line): string
    {
        $line = AmountTwice::inBrackets($line);

        return preg_replace(self::OR_ELSE, '', $line) ?? $line;
    }

    /** "300 ml olive or sunflower oil", "jojoba/olive mix": the first, where both are known; the line as it is where they are not. */
    private function firstOf(string $line): string
    {
        if (preg_match(self::OR, $line) !== 1) {
            return $line;
        }
        [$amount, , $rest] = $this->words->amounts->amount($line);
        $things = preg_split(self::OR, $amount === null ? '' : preg_replace('/\s+(?:mix|blend)$/iu', '', $rest) ?? $rest) ?: [];
        if (count($things) !== 2) {
            return $line;
        }
        // "Jojoba or olive", with no "oil" behind it, is of two oils too.
        $called = fn (string $thing): string => $this->cupboard->carrierNamed("{$thing} oil") === null ? $thing : "{$thing} oil";
        $isOil = preg_match('/\boils?$/iu', $things[1]) === 1 || $this->thing($things[1]) === null;
        [$first, $second] = $isOil ? array_map($called, $things) : $things;
        $at = mb_strpos($line, $rest);

        return $at === false || $this->thing($first) === null || $this->thing($second) === null ? $line : mb_substr($line, 0, $at).$first;
    }

    private function amountBefore(string $line): string
    {
        // "Mullein: 30 g dried flowers" is so much of mullein flowers.
        $apart =
            '/^(\p{L}[\p{L}\s\'’-]*?)\s*[:–—-]\s*([\d½¼¾⅓⅔].*?)\s+((?:'.
            self::STATES.
            '|whole|chopped)\s+)?('.
            PlantPart::any().
            ')$/iu';
        if (preg_match($apart, $line, $m) === 1 && $this->words->amounts->reading($m[2]) !== null && $this->words->namesHerb($m[1])) {
            return "{$m[2]} {$m[3]}{$m[1]} {$m[4]}";
        }
        // "Dandelion flowers, enough to fill a jar (about 2 cups)": what is in the brackets is how much.
        $line = preg_replace('/,\s*enough\s+to\s+[^(),]+(?=\()/iu', ' ', $line) ?? $line;
        $number = '[\d½¼¾⅓⅔](?:[^,:()]|(?<=\d),(?=\d))*';
        // "Calendula - 50 g (about 2 cups)": both, and which of them counts is seen where they are read.
        $beside =
            "/^(\\p{L}[^:()\\d½¼¾⅓⅔]*?)\\s*(?:[,:]|\\s[-–—])?\\s*({$number}?)"."\\s*\\(((?:about|roughly|ca\\.?|~)?\\s*{$number})\\)$/iu";
        if (
            preg_match($beside, $line, $m) === 1 &&
            $this->words->amounts->reading(trim($m[2])) !== null &&
            ! $this->isStep($line) &&
            preg_match('/\b(?:makes?|yields?|serves?|batch|jar|bottle|tin)\b/iu', $m[1]) !== 1
        ) {
            return trim($m[2])." ({$m[3]}) {$m[1]}";
        }
        $amount = "((?:{$number}|an?\\s[^,:()]*|half\\s[^,:()]*))";
        if (
            preg_match("/^(\\p{L}[^:()]*?)\\s*(?:,(?<!\\d,)|:|\\s[-–—])\\s*{$amount}$/u", $line, $m) !== 1 &&
            preg_match("/^(\\p{L}[^:()]*?)\\s*\\((?:about\\s+|roughly\\s+|ca\\.?\\s+|~\\s*)?{$amount}\\)$/iu", $line, $m) !== 1 &&
            preg_match("/^(\\p{L}[^:()\\d½¼¾⅓⅔]*?)\\s+({$number})$/u", $line, $m) !== 1 &&
            // "Calendula flowers (dried, whole) - 50 g".
            preg_match("/^(\\p{L}[^:()\\d½¼¾⅓⅔]*?\\([^()\\d½¼¾⅓⅔]*\\))\\s*(?:[,:]|[-–—]\\s)?\\s*{$amount}$/u", $line, $m) !== 1
        ) {
            return $line;
        }
        [$read, , $rest] = $this->words->amounts->amount($m[2]);
        $counted = $read === null ? $this->words->amounts->count($m[2]) : null;
        $is =
            $counted === null
                ? ($read === null
                    ? isset($this->words->amounts->asked($m[2])[$m[2]])
                    : $read->kind !== Kind::Time && $rest === '')
                : $this->isCounted($counted[2]);

        return $is &&
            ! $this->isStep($line) &&
            $this->words->warmth($m[2]) === null &&
            preg_match('/\b(?:makes?|made|yields?|serves|servings?|total|batch|jar|bottle|tin)\b/iu', $m[1]) !== 1
            ? "{$m[2]} {$m[1]}"
            : $line;
    }

    /**
     * What was made of a line, with the line as it was written; "a few" of something is a number by a guess.
     *
     * @param  array{line: string, as: string, says: string, guess: bool}  $made
     * @return array{line: string, as: string, says: string, guess: bool}
     */
    public function asWritten(array $made, string $line): array
    {
        if (in_array($made['as'], ['step', 'unread', 'name'], true)) {
            return ['line' => $line] + $made;
        }
        $more = match (true) {
            preg_match(self::OR_ELSE, $line, $m) === 1 => sprintf('. Of “%s” nothing was made.', trim($m[0])),
            $this->isOneOfTwo($line) => '. The first of the two is taken.',
            $made['as'] !== 'herb' && preg_match('/\bheap(?:ed|ing)\b/iu', $line) === 1 => '; heaped is taken as level: weigh it.',
            preg_match(self::SO_MUCH, $line) === 1 => '; how much is a guess.',
            ! $made['guess'] && preg_match('/\b(?:few|several|couple)\b/iu', $line) === 1 => '; how many is a guess.',
            default => null,
        };

        return [
            'line' => $line,
            'as' => $made['as'],
            'says' => $more === null ? $made['says'] : rtrim($made['says'], '.').$more,
            'guess' => $made['guess'] || $more !== null,
        ];
    }

    private function isOneOfTwo(string $line): bool
    {
        if (preg_match(self::OR, $line) !== 1) {
            return false;
        }
        $first = $this->amountBefore($line);

        return $this->firstOf($line) !== $line || $this->firstOf($first) !== $first;
    }

    private function isCounted(string $word): bool
    {
        return preg_match('/^(?:drops?|parts?)$/iu', trim($word)) === 1 || $this->counts->isCounted($word);
    }

    /** A line that tells what to do, and is no ingredient. */
    /** Whether it says what is done, with how much or without: "pour in 400 ml of the oil". */
    public function tells(string $line): bool
    {
        $verb =
            '/^(?:(?:then|next|now|first|finally|gently|slowly|carefully)\b,?\s*)*(?:'.
            self::BEFORE_AMOUNT.
            '|melt|stir|blend|whisk|beat|fold)\b(?!-)/iu';

        return $this->isStep($line) || preg_match($verb, trim($line)) === 1;
    }

    public function isStep(string $line): bool
    {
        return preg_match(self::STEP, trim($line)) === 1;
    }

    /**
     * The state that what is done gives the herbs of which it is not said: what is wilted in a step is wilted, what is picked fresh.
     *
     * @param  list<string>  $lines
     * @return array{string, string}|null the state, and the line that says so
     */
    public function stateByWhatIsDone(array $lines): ?array
    {
        $plant = '(?:(?:the|them|it|all|your)\s+)*(?:flowers?|lea(?:f|ves)|herbs?|blossoms?|petals?|roots?|tops|heads?)?\b';
        $long = 'days?|weeks?|fortnight|completely|crisp|crackly|brittle';
        $said = [
            // What is washed and dried with a cloth is as fresh as before.
            'dried' => "/(?:^\\W*(?:(?:then|and|first)\\s+)*|\\band\\s+(?:then\\s+)?)(?:dry|hang)\\s+{$plant}.*\\b(?:{$long})\\b/iu",
            'wilted' => '/\band\s+(?:then\s+)?wilt\b|,\s*(?:then\s+)?(?:let|leave|allow)\b[^,]*\bwilt\b|'.
                '^\W*(?:(?:then|and|first)\s+)*(?:wilt\b|(?:let|leave|allow|spread)\b.*\bwilt\b)/iu',
            'fresh' => '/^\W*(?:pick|gather|harvest|forage)\b(?!\s+(?:over|out|through))/iu',
        ];
        foreach ($said as $state => $pattern) {
            foreach ($lines as $line) {
                if (preg_match($pattern, $line) === 1) {
                    return [$state, rtrim($line, '.')];
                }
            }
        }

        return null;
    }

    /** A heading over what follows, that says nothing of its own. */
    public function isHeading(string $line): bool
    {
        $table = '(?:ingredients?|herbs?|oils?|items?|what|amount|quantity|how much|weight|metric|us|imperial|grams|cups)';

        return preg_match('/^(?:(?:'.self::HEADING.'|steps?|for the infusion)\s*:?|'."{$table}(?:\\s[-|]\\s{$table})+)$/i", $line) ===
            1;
    }

    /** Whether what stands behind a number is a plant that is counted, and not a step or an oil. */
    public function isOfCounted(string $rest): bool
    {
        return mb_strlen($rest) < 80 &&
            preg_match('/^(weeks?|days?|hours?|hrs?|minutes?|mins?|h|times|jars?|bottles?)\b/i', $rest) !== 1 &&
            $this->words->oil($rest) === null &&
            ! MadeOf::is($rest) &&
            ($this->counts->isCounted($rest) || $this->words->knownHerb($rest) !== null);
    }

    /** Whether a line names one thing that goes in, and nothing more. */
    public function isThing(string $line): bool
    {
        return ! $this->isHeading($line) && $this->thing(trim($line)) !== null;
    }

    /** Which thing it is, if it is one by its name alone and nothing else. */
    public function thing(string $named): ?string
    {
        $bare = trim(preg_replace('/\b(?:'.self::STATES.'|organic)\b/iu', '', $named) ?? $named);
        $whole =
            $this->cupboard->carrierNamed($bare) ??
            ($this->cupboard->waxNamed($bare) ?? ($this->cupboard->additionNamed($bare) ?? $this->cupboard->scentNamed($bare)));
        if ($whole !== null) {
            return $whole->name;
        }
        $herb =
            preg_match('/\b(?:oils?|butters?|salves?|balms?|teas?|infused|seeds?)\b/iu', $bare) === 1
                ? null
                : $this->words->knownHerb($bare);

        return $herb === null || MadeOf::is($bare) || count(explode(' ', $bare)) > 4 ? null : $herb['id'];
    }
}
