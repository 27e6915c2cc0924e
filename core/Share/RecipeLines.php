<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Names;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;

/** The lines of a written recipe: where each begins, and whether it is a name, a heading, a step or an ingredient. */
final readonly class RecipeLines
{
    /** What begins a line that tells what to do; words that begin a name as well do so only before such as "the" or "in". */
    private const STEP =
        '/^(?:(?:then|next|now|first|finally|when|once|after|gently|carefully|slowly)\b,?\s*)*'.
        '(?:(?:pour|pick|strain|stir|shake|cover|fill|put|place|set|leave|let|allow|melt|bring|turn|remove|add|combine|'.
        'squeeze|bottle|label|store|keep|seal|cap|wash|wait|check|'.
        'use|apply|do\s+not|don[’\']?t|infuse|steep|simmer|gather|harvest|collect|'.
        'spread|filter|discard|transfer|wipe|decant|swirl)\b(?!-)|'.
        '(?:heat|warm|mix|blend|press|cut|chop|crush|grind|dry|clean|make|be|rub|massage|cook|bake|wilt|pack|top|line)\s+'.
        '(?:it|them|the|an?|all|your|up|in|on|to|with|until|over|well|gently|sure|down|out)\b)/iu';

    /** "Equal parts beeswax, cocoa butter and almond oil". */
    private const EQUAL_PARTS = '/^\s*equal\s+parts\s+(?:of\s+)?((?:dried|dry|fresh|wilted)\s+)?(\p{L}[^\n(\d]*[^\s(\d])/imu';

    /** "Three herb oil" is what it is called. */
    private const OF_SO_MANY = '/^(?:two|three|four|five|six|seven)[\s-]+(?:herb|flower|root|leaf|plant)\b.*\b(?:oil|salve|balm)$/iu';

    /** How a measured herb lies. */
    private const LYING = '(?:(?:loosely|lightly|firmly|tightly|well)[ \t-]+)?(?:packed|heaped|heaping)';

    private const SPOONS = 'cups?|mugs?|tablespoons?|tbsps?|teaspoons?|tsps?';

    /** How many of them: "2", "a", or none before "heaped tablespoon". */
    private const OF_SPOONS = '((?:[\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔ ]*|an?\s+|'.'one\s+|two\s+|three\s+)?)';

    /** A measure that is a little more or less of it, or no more and no less. */
    private const ABOUT_SO_MUCH = '(?:scant|generous|level|rounded|good|big|large|full)';

    private const STATES = 'dried|fresh|wilted|powdered|ground';

    /** How a herb is, behind it or behind its amount. */
    private const STATE = '(?:\(\s*)?(?:'.self::STATES.')(?:\s*\))?';

    /** So much for so much of another. */
    public const PER =
        '/(?<=\p{L})[ \t]+(?:per|(?:for|to)[ \t]+(?:every|each))[ \t]+'.
        '(?=[\d½¼¾⅓⅔][\d.,\/]*\s*(?:g|kg|ml|cl|dl|l|oz|fl|cups?|pints?|parts?)\b)/iu';

    /** What it may be instead, in brackets. */
    private const OR_ELSE = '/\s*\(\s*or\b[^()]*\)/iu';

    /** So many cups, or a little more or less. */
    private const SO_MUCH =
        '/^\W*(?:[\d½¼¾⅓⅔\/]+|an?|one|two|three)?\s*(?:scant|generous|rounded|good|big|large)\s+(?:'.self::SPOONS.')\b/iu';

    private Counts $counts;

    private OfEach $each;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words)
    {
        $this->counts = new Counts($cupboard->tables());
        $this->each = new OfEach($cupboard);
    }

    /** @return list<string> */
    public function split(string $text): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", Names::withoutPoints(Figures::ascii($text)));
        // "0,5 %" is no nought, and no five.
        $text =
            preg_replace(
                '/(?<=\d),(?=\d{1,2}\s*(?:%|(?:kg|g|ml|cl|dl|l|oz|fl|lbs?|cups?|tbsp|tsp|parts?|pints?|lit\p{L}+)\b))/iu',
                '.',
                $text,
            ) ?? $text;
        $text = $this->withoutKinds($text);
        // "1 oz calendula for every 10 oz of oil" is so much of each.
        $text = preg_replace(self::PER, "\n", $text) ?? $text;
        $text = $this->titled($this->unitsWithoutPoints($this->each->apart(self::ofTable($text), "\n")));
        // "1 & 1/2 cups" is one amount.
        $text = preg_replace('/(?<![\d\/.])(\d{1,2})\s*(?:&|\+|\band\b)\s*(?=\d\/\d|[½¼¾⅓⅔])/u', '$1 ', $text) ?? $text;
        // "1 cup oil, 3 tbsp flowers": a comma or an "and" before an amount begins another line; "1 cup and 2 tbsp" is one amount.
        $unit = implode(
            '',
            array_map(fn (string $unit) => "(?<!\\b{$unit})(?<!\\b{$unit}s)", [
                'cup',
                'tbsp',
                'tsp',
                'lb',
                'oz',
                'kg',
                'pint',
                'quart',
                'pound',
                'ounce',
                'tablespoon',
                'teaspoon',
                'c',
                'g',
                'l',
                'ml',
            ]),
        );
        $text =
            preg_replace(
                '/'.
                    $unit.
                    // "calendula, 30 g" is one.
                    '(?:[,;]\s*(?:and\s+)?(?=[\d½¼¾⅓⅔])(?![\d½¼¾⅓⅔][\d.,\/ ]*\s*\p{L}*\.?'.
                    '(?:,?[ \t]+(?:'.
                    self::LYING.
                    '))?[ \t]*(?:\n|$))|'.
                    '\s+(?:and|with|plus|\+|&)\s+(?=[\d½¼¾⅓⅔]\S*\s*\S*\s+[a-z])|'.
                    '(?<=\p{L})[ \t]+(?:over|into|in|to)[ \t]+(?=[\d½¼¾⅓⅔][\d.,\/]*\s*'.
                    '(?:g|kg|ml|cl|dl|l|oz|fl|cups?|tbsp|tsp|pints?|quarts?|lbs?)\b\.?[ \t]+(?!jars?\b|bottles?\b)\p{L}))/iu',
                "\n",
                $text,
            ) ?? $text;
        $text = preg_replace_callback(self::EQUAL_PARTS, self::aPartOfEach(...), $text) ?? $text;
        $text = implode("\n", array_map($this->eachBehind(...), explode("\n", $text)));
        // Of a line of prose each sentence is a line; "1 oz. of" ends none.
        $text = preg_replace('/(?<=[\p{Ll})][.!]|\d[CF][.!]|\d\s[CF][.!])[ \t]+(?=\p{Lu})/u', "\n", $text) ?? $text;
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $line = trim(preg_replace('/^\s*(?:[-*•·▢☐]|\d{1,2}[.)]\s)\s*/u', '', $line) ?? '');
            foreach (SaidPieces::eachBefore($line) as $one) {
                array_push($lines, ...$this->of($one));
            }
        }

        return array_values(array_filter($lines, fn (string $line) => $line !== ''));
    }

    /**
     * "50 g rosemary, thyme and sage": so much of the first, and the others with no amount, for whether it is of each of them or of
     * all together is not said.
     *
     * @return list<string>
     */
    private function of(string $line): array
    {
        [$amount, , $rest] = $this->words->amount($line);
        if ($amount === null || $amount->kind === Kind::Time) {
            return [$line];
        }
        $things = preg_split(OfEach::APART, rtrim($rest, '.'), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        if (count($things) < 2) {
            return [$line];
        }
        $oil = preg_match('/\boils?$/iu', (string) end($things)) === 1;
        $known = [];
        foreach ($things as $at => $thing) {
            $things[$at] = $oil && $this->cupboard->carrierNamed("{$thing} oil") !== null ? "{$thing} oil" : $thing;
            $known[] = $this->thing($things[$at]);
        }
        if (in_array(null, $known, true) || count(array_unique($known)) < count($known)) {
            return [$line];
        }
        $first = mb_strpos($line, $rest);

        return $first === false ? [$line] : [mb_substr($line, 0, $first).array_shift($things), ...$things];
    }

    /** Whether a line names one thing that goes in, and nothing more. */
    public function isThing(string $line): bool
    {
        return ! $this->isHeading($line) && $this->thing(trim($line)) !== null;
    }

    /** Which thing it is, if it is one by its name alone and nothing else. */
    private function thing(string $named): ?string
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

    /** "Oil: 500 mL olive", "Essential oils: 10 drops lavender, 1 mL rosemary": what it is of, and then the things themselves. */
    private function withoutKinds(string $text): string
    {
        $kinds =
            '/^[ \t]*(?:[-*•][ \t]*)?(?:carrier\s+oils?|oils?|herbs?|flowers?|butters?|wax(?:es)?|'.
            'extras?|additives?)[ \t]*:[ \t]*(?=[\d½¼¾⅓⅔])/imu';
        $scents = '/^[ \t]*(?:[-*•][ \t]*)?essential\s+oils?[ \t]*:[ \t]*((?=[\d½¼¾⅓⅔]).*)$/imu';

        return preg_replace_callback($scents, self::asScents(...), preg_replace($kinds, '', $text) ?? $text) ?? $text;
    }

    /** @param  array<string>  $m what is said to be essential oils */
    private static function asScents(array $m): string
    {
        $each = preg_split('/\s*[,;]\s*/u', $m[1], -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isSaid = fn (string $scent) => preg_match('/\boils?\b|\bdrops?\b/iu', $scent) === 1;

        return implode("\n", array_map(fn (string $scent) => $isSaid($scent) ? $scent : "{$scent} essential oil", $each));
    }

    /** The rows of a table drawn with strokes, "| calendula | 50 g |", as lines; its head and its rule are none. */
    private static function ofTable(string $text): string
    {
        return preg_replace_callback('/^[ \t]*\|.*\|[ \t]*$/mu', self::ofRow(...), $text) ?? $text;
    }

    /** @param  array<string>  $m a row as it is drawn */
    private static function ofRow(array $m): string
    {
        $cells = array_map('trim', explode('|', $m[0]));

        return implode(' - ', array_filter($cells, fn (string $cell) => preg_match('/[\p{L}\d]/u', $cell) === 1));
    }

    /** @param  array<string>  $m what is before the list and of all of it, such as "dried", and the list */
    private static function aPartOfEach(array $m): string
    {
        $things = preg_split('/\s*(?:,|&|\+|\band\b)\s*/iu', $m[2], -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return implode("\n", array_map(fn (string $thing) => "1 part {$m[1]}{$thing}", $things));
    }

    /** "Chest rub: 100 mL arnica oil, 15 g beeswax" is a name and what goes into it; "olive oil: 250 mL" is one thing. */
    private function titled(string $text): string
    {
        $number = '(?:[\d½¼¾⅓⅔]|an?\s|half\s)';
        $two = "(?={$number}[^\\n,;+]*\\s\\p{L}{3}[^\\n,;+]*[,;+][ \\t]*(?:and\\s+)?{$number})";
        // "Salve: beeswax 20 g, olive oil 100 g".
        $behind = '(?=\p{L}[^\n,;+:\d]*\s[\d½¼¾⅓⅔][\d.]*\s*(?:\p{L}+\b|%)\s*[,;+])';
        if (preg_match("/^\\s*(\\p{L}[\\p{L}'’ -]{2,60}?)\\s*:[ \\t]*(?:{$two}|{$behind})/iu", $text, $m) !== 1) {
            return $text;
        }
        $oil = $this->words->oil($m[1]);
        $isMade = preg_match('/\b(?:salve|balm|rub|butter|scrub|ointment|cream|lotion|bar|stick|pomade|serum)s?$/iu', $m[1]) === 1;
        $isThing = $oil === null ? ! $isMade && $this->words->namesHerb($m[1]) : $oil['id'] !== '';

        return $isThing ? $text : $m[1]."\n".mb_substr(ltrim($text), mb_strlen(ltrim($m[0])));
    }

    /** "Calendula 30 g, dried, olive oil: 300 g": where the amount stands behind the first, each name with one behind it is a line. */
    private function eachBehind(string $line): string
    {
        $measured =
            '\p{L}[^,;:\n\d]*[:\s]\s*[\d½¼¾⅓⅔][\d.,\/ ]*\s*'.
            '(?:(?:kg|g|ml|cl|dl|l|oz|ounces?|lbs?|fl\.?\s*oz|cups?|tbsp|tsp|drops?|parts?|pints?|quarts?)\b\.?|%)(?:\s*'.
            self::STATE.
            ')?';
        $time = '(?:for\s+)?\d[\d.–-]*\s*(?:months?|weeks?|days?|hours?|hrs?|h)\b';
        $apart = '\s*(?:[,;]|\band\b)\s*';

        return preg_match("/^\\s*{$measured}{$apart}/iu", $line) !== 1
            ? $line
            : preg_replace("/{$apart}(?={$measured}\\s*(?:[,;.]|\\band\\b|$)|{$time})/iu", "\n", $line) ?? $line;
    }

    /** "1/2 oz. Dried calendula" is one line: a measure that is written short ends no sentence, but before what is done. */
    private function unitsWithoutPoints(string $text): string
    {
        return preg_replace_callback(
            '/(?<=[\d½¼¾⅓⅔])(\s*)(fl\.?\s*oz|oz|tsp|tbsp?s?|tbs|lbs?|pts?|qts?|gal|g|kg|ml|l|c)\.([ \t]+)(?=(\p{L}+(?:\s+\p{L}+)?))/iu',
            fn (array $m) => $m[1].
                str_replace('.', '', $m[2]).
                ($this->isStep($m[4]) || array_diff($this->words->methods($m[4]), ['cold']) !== [] ? "\n" : $m[3]),
            $text,
        ) ?? $text;
    }

    /**
     * An ingredient with its amount before it, however it is written: "olive oil: 250 ml", "beeswax 20 g", "calendula, a
     * handful", "olive oil (1 cup)", "take 1 oz of petals". What is no ingredient stays as it is.
     */
    public function amountFirst(string $line): string
    {
        $line = $this->firstOf(self::asides(self::inFigures($line)));
        $verb = '/^(?:take|use|add|pour|mix|combine|put|place|infuse|weigh(?:\s+out)?|measure(?:\s+out)?)\s+(?=[\d½¼¾⅓⅔]|an?\b|half\b)/iu';
        $bare = preg_replace($verb, '', $line) ?? $line;
        [$amount, , $of] = $this->words->amount($bare);
        // "Take a quart jar" is no ingredient.
        if ($bare !== $line && $amount !== null && preg_match('/^(?:\S+\s+)?(?:jars?|bottles?|pans?|bowls?)\b/iu', $of) !== 1) {
            return $bare;
        }
        // "Calendula (dried), 1 cup, loosely packed".
        $line = preg_replace('/\s*\(\s*('.self::STATES.')\s*\)(?=\s*[,:])/iu', ' $1', $line) ?? $line;
        // "Calendula 30 g, dried" and "calendula (30 g, dried)" are dried calendula.
        $line = preg_replace('/\(\s*([^(),]*\d[^(),]*),\s*('.self::STATE.')\s*\)$/iu', '($1) $2', $line) ?? $line;
        $line =
            preg_replace_callback(
                '/^(\p{L}[^\d½¼¾⅓⅔]*[\d½¼¾⅓⅔].*?[\p{L})]\.?),?\s+('.self::STATE.')$/iu',
                fn (array $m) => trim($m[2], '() ').' '.$m[1],
                $line,
            ) ?? $line;
        $lies = preg_match('/,?\s+('.self::LYING.')$/iu', $line, $m) === 1 ? $m : null;
        $line = $lies === null ? $line : mb_substr($line, 0, -mb_strlen($lies[0]));
        $first = $this->amountBefore($line);

        return $lies === null ? $first : ($first === $line ? $line.$lies[0] : "{$first}, {$lies[1]}");
    }

    /** "A scant cup", "2 heaped tablespoons", "half litre": the measure that it is, in figures. */
    private static function inFigures(string $line): string
    {
        $heaped = preg_replace(
            '/^'.self::OF_SPOONS.'(?:slightly\s+)?(?:heap(?:ed|ing))\s+('.self::SPOONS.')\b(.*)$/iu',
            '$1$2$3, heaped',
            $line,
        );
        $even = preg_replace('/^'.self::OF_SPOONS.self::ABOUT_SO_MUCH.'\s+('.self::SPOONS.')\b/iu', '$1$2', $heaped ?? $line);

        return Figures::atFront(preg_replace('/^('.self::SPOONS.')\b(?!\s*$)/iu', '1 $1', $even ?? $line) ?? $line);
    }

    /** "28g/1oz calendula" has the one beside the other; "2 oz dried (or 4 oz fresh)" is of the dried. */
    private static function asides(string $line): string
    {
        $amount = '(?:[\d½¼¾⅓⅔][\d.½¼¾⅓⅔]*(?:\s+\d\/\d)?|\d\/\d)\s*(?:g|kg|ml|cl|dl|l|fl\.?\s*oz|oz|lbs?|cups?|tbsps?|tsps?|pints?)';
        $line = preg_replace("/^({$amount})\\s*\\/\\s*({$amount})\\s+(?=\\p{L})/iu", '$1 ($2) ', $line) ?? $line;

        return preg_replace(self::OR_ELSE, '', $line) ?? $line;
    }

    /** "300 ml olive or sunflower oil": the first, where both are known; the line as it is where they are not. */
    private function firstOf(string $line): string
    {
        if (preg_match('/\s+or\s+/iu', $line) !== 1) {
            return $line;
        }
        [$amount, , $rest] = $this->words->amount($line);
        $things = preg_split('/,?\s+or\s+/iu', $amount === null ? '' : $rest) ?: [];
        if (count($things) !== 2) {
            return $line;
        }
        $oil = preg_match('/\boils?$/iu', $things[1]) === 1 && $this->cupboard->carrierNamed("{$things[0]} oil") !== null;
        $things[0] .= $oil ? ' oil' : '';
        $at = mb_strpos($line, $rest);

        return $at === false || $this->thing($things[0]) === null || $this->thing($things[1]) === null
            ? $line
            : mb_substr($line, 0, $at).$things[0];
    }

    private function amountBefore(string $line): string
    {
        // "Dandelion flowers, enough to fill a jar (about 2 cups)": what is in the brackets is how much.
        $line = preg_replace('/,\s*enough\s+to\s+[^(),]+(?=\()/iu', ' ', $line) ?? $line;
        $number = '[\d½¼¾⅓⅔][^,:()]*';
        $amount = "((?:{$number}|an?\\s[^,:()]*|half\\s[^,:()]*))";
        if (
            preg_match("/^(\\p{L}[^:()]*?)\\s*(?:[,:]|\\s[-–—])\\s*{$amount}$/u", $line, $m) !== 1 &&
            preg_match("/^(\\p{L}[^:()]*?)\\s*\\((?:about\\s+|roughly\\s+|ca\\.?\\s+|~\\s*)?{$amount}\\)$/iu", $line, $m) !== 1 &&
            preg_match("/^(\\p{L}[^:()\\d½¼¾⅓⅔]*?)\\s+({$number})$/u", $line, $m) !== 1
        ) {
            return $line;
        }
        [$read, , $rest] = $this->words->amount($m[2]);
        $counted = $read === null ? $this->words->count($m[2]) : null;
        $is = $counted === null ? $read !== null && $read->kind !== Kind::Time && $rest === '' : $this->isCounted($counted[2]);

        return $is &&
            ! $this->isStep($line) &&
            $this->words->warmth($m[2]) === null &&
            preg_match('/\b(?:makes|yields?|serves|servings?|total|jar|bottle|tin)\b/iu', $m[1]) !== 1
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
            $this->firstOf($line) !== $line => '. The first of the two is taken.',
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

    private function isCounted(string $word): bool
    {
        return preg_match('/^(?:drops?|parts?)$/iu', trim($word)) === 1 || $this->counts->isCounted($word);
    }

    /** A line that tells what to do, and is no ingredient. */
    public function isStep(string $line): bool
    {
        return preg_match(self::STEP, trim($line)) === 1;
    }

    /** A heading over what follows, that says nothing of its own. */
    public function isHeading(string $line): bool
    {
        $table = '(?:ingredients?|herbs?|oils?|items?|what|amount|quantity|how much|weight)';

        return preg_match(
            '/^(?:(?:ingredients?|method|directions|instructions|steps?|you will need|for the (?:oil|infusion))\s*:?|'.
                "{$table}(?:\\s-\\s{$table})+)$/i",
            $line,
        ) === 1;
    }

    /** The first line of a recipe, where it is what the recipe is called. */
    public function isTitle(string $line): bool
    {
        $line = self::titleOf($line);

        return ! $this->isHeading($line) &&
            $this->isName($line) &&
            ($this->words->count($line) === null || $this->isOneOil($line) || preg_match(self::OF_SO_MANY, $line) === 1) &&
            // "Comfrey flower oil" is no flower that is counted.
            (! $this->counts->isCounted($line) || preg_match('/\b(?:oil|salve|balm)$/iu', $line) === 1);
    }

    /** What a first line calls it, without how much it makes: "Calendula oil - makes 2 cups". */
    public static function titleOf(string $line): string
    {
        return preg_replace('/\s*(?:[,:;]|\s[-–—]|\()\s*(?:makes?|yields?|serves)\b.*$/iu', '', $line) ?? $line;
    }

    /** Whether a line says "an oil", as a name does: so much of it is none. */
    private function isOneOil(string $line): bool
    {
        return preg_match('/^an?\s.*\boil\b/iu', $line) === 1 &&
            $this->words->parts($line) === null &&
            $this->words->amount($line)[0] === null;
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
            $this->isStep($line) &&
            (str_ends_with($bare, '.') ||
                $this->words->knownHerb($line) !== null ||
                preg_match('/\b(?:oil|salve|balm|rub)s?$/u', $bare) !== 1);

        $is = self::inFigures($line) === $line && preg_match('/^take\s.*\.$/iu', $bare) !== 1;

        return $is && preg_match('/\d|[½¼¾⅓⅔]/u', $line) !== 1 && mb_strlen($line) <= 80 && ! $this->words->isMethod($line) && ! $step;
    }
}
