<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Material\Names;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;

/** The text of a written recipe taken apart into its lines: where each begins, and what is two of them though it is written as one. */
final readonly class RecipeText
{
    /** "Equal parts beeswax, cocoa butter and almond oil". */
    private const EQUAL_PARTS = '/^\s*equal\s+parts\s+(?:of\s+)?((?:dried|dry|fresh|wilted)\s+)?(\p{L}[^\n(\d]*[^\s(\d])/imu';

    /** So much for so much of another. */
    public const PER =
        '/(?<=\p{L})[ \t]+(?:per|(?:for|to)[ \t]+(?:every|each))[ \t]+'.'(?=[\d½¼¾⅓⅔][\d.,\/]*\s*(?:'.UnitWords::ANY.'|parts?)\b)/iu';

    /** What stands before a line and is none of it: a mark, a small picture, "2.", "Step 2:". */
    public const BULLET = '/^\s*(?:[-~*•·▢☐✓✔\p{So}\x{FE0F}\x{200D}]+\s*)*(?:\d{1,2}[.)]\s+|step\s+\d{1,2}\s*[:.)–-]\s*)?/iu';

    /** What is not to be done. */
    private const DENIED =
        '/(?<=^|[.!;:\n])[ \t]*(?:[-*•][ \t]*)?(?:please[ \t]+)?(?:do[ \t]+not|don[’\']t|never|avoid)[ \t]+(?!forget|worry|skimp)'.
        '[^.!;:,\n]*/imu';

    /** Stands for a space where a sentence stays whole. */
    private const WHOLE = "\x1F";

    private OfEach $each;

    private TitleApart $titles;

    private ToldAgain $again;

    private AmountLines $amounts;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words, private RecipeLines $lines)
    {
        $this->each = new OfEach($cupboard);
        $this->titles = new TitleApart($words, $lines);
        $this->amounts = new AmountLines($words, $lines);
        $this->again = new ToldAgain($cupboard, $words, $lines);
    }

    /** @return list<string> the lines, none of them empty */
    public function split(string $text): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", Names::withoutPoints(UnitWords::plain(Figures::ascii($text))));
        $text = OfEach::shared($this->again->hidden($this->amounts->joined(TableLines::withUnits($text))));
        // By which of the two parts are is read of the whole.
        $text = preg_replace('/(\d[ \t]+parts?)[ \t]+by[ \t]+(?:volume|weight)\b/iu', '$1', $text) ?? $text;
        // "Do not add 10 drops of tea tree" adds none: it is one step, and nothing is parted in it.
        $text = preg_replace_callback(self::DENIED, fn (array $m): string => str_replace(' ', self::WHOLE, $m[0]), $text) ?? $text;
        $text = WrittenShort::ofRecipe($text);
        // "0,5 %" is no nought, and no five.
        $text = preg_replace('/(?<=\d),(?=\d{1,2}\s*(?:%|(?:'.UnitWords::ANY.'|parts?)\b))/iu', '.', $text) ?? $text;
        // "Lavender: 100 g, Oil: 1 litre, Time: 3 weeks" is a line of each.
        $text =
            preg_replace('/[,;][ \t]*(?=(?:(?:carrier\s+)?oil|herbs?|time|method|heat|temperature|ratio|yield)[ \t]*:)/iu', "\n", $text) ??
            $text;
        // "Beeswax: 1/4 cup grated, or 1 oz by weight" has the one beside the other.
        $orSo = '/(?<=\p{L}),?[ \t]+or[ \t]+(?:about[ \t]+)?([\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔ ]*'.UnitWords::ANY.')[ \t]*(?=\n|$)/iu';
        $byWeight =
            '/[\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔ ]*'.
            UnitWords::ANY.
            ',?[ \t]+or[ \t]+([\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔ ]*'.
            UnitWords::MASS.
            ')[ \t]+by[ \t]+weight/iu';
        $text = preg_replace([$byWeight, $orSo], ['$1', ' ($1)'], $text) ?? $text;
        // "(c. 700 mL)" is about as much, and "a mugful" a mug.
        $text = preg_replace(['/\(\s*ca?\.\s*(?=\d)/iu', '/\b(cup|mug|teaspoon|tablespoon)fuls?\b/iu'], ['(about ', '$1'], $text) ?? $text;
        // "Calendula ....... 50 g" has its amount at the end of a row of points.
        $text = preg_replace('/[ \t]*(?:\.{3,}|_{3,})[ \t]*(?=[\d½¼¾⅓⅔])/u', ': ', $text) ?? $text;
        // "Rosemary sprigs x 6, olive oil x 500 ml".
        $text = preg_replace('/(?<=\p{L})[ \t]+[x×][ \t]+(?=[\d½¼¾⅓⅔])/u', ': ', $text) ?? $text;
        $text = preg_replace('/,[ \t]*(?=\p{L}[^,;:()\n\d]*:[ \t]*[\d½¼¾⅓⅔](?![^\n;]*\beach\b))/u', "\n", $text) ?? $text;
        // "Zest of 4 unwaxed lemons" is four of lemon peel.
        $peel =
            '/^([ \t]*(?:[-*•][ \t]*)?)(?:the\s+)?(?:zest|peels?|rinds?)[ \t]+of[ \t]+(\d{1,2}|an?|one|two|three|four|five|six)[ \t]+'.
            '((?:(?:large|small|medium|big|unwaxed|organic|ripe)[ \t]+)*)(lemon|orange|lime|grapefruit|mandarin|bergamot)s?\b/imu';
        $text = preg_replace($peel, '$1$2 $3$4 peel', $text) ?? $text;
        $text = $this->withoutKinds($this->inHalves($this->partsApart($text)));
        // "Lotion bar: equal parts ..." is a name, and "equal parts ..., 30 g each" is so much of each.
        $text =
            preg_replace('/^(\s*\p{L}[\p{L}\'’ -]{2,60}?)(?:\s*:|[ \t]+[-–—](?=[ \t]))[ \t]*(?=equal\s+parts\b)/imu', "$1\n", $text) ??
            $text;
        $text = preg_replace('/\bequal\s+parts\s+(?:of\s+)?(?=[^\n\d]*\d[^\n]*\beach\b)/iu', '', $text) ?? $text;
        $text = $this->parted($text);
        $text = MeasuredPieces::apart($text);
        // "For every 100 g of oil use 20 g of calendula", and "1 oz calendula for every 10 oz of oil", are so much of each.
        $text = preg_replace('/\bfor\s+every\s+(?=\d)([^.\n]*?),?\s+(?:use|take|add)\s+(?=\d)/iu', "$1\n", $text) ?? $text;
        $text = preg_replace(self::PER, "\n", $text) ?? $text;
        // "Beeswax 12 g. No scent" is two: behind its name the measure ends what is said of it.
        $ends =
            '/(?<=^|[\n;,.:])([ \t]*(?!(?:take|use|add|mix|put|stir|with|and|in|melt|of|to)\b)'.
            '\p{L}[^\d\n;,.:]*[ \t][\d½¼¾⅓⅔][\d.\/]*[ \t]*'.
            UnitWords::ANY.
            ')\.[ \t]+(?=(?-i:\p{Lu}))/iu';
        $text = preg_replace($ends, "$1\n", $text) ?? $text;
        // What stood behind a title is parted once that is off.
        $text = MeasuredPieces::apart($this->titles->apart($this->unitsWithoutPoints($this->each->apart(TableLines::drawn($text), "\n"))));
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
                    '(?:(?:(?<!\d)[,;]|[,;](?!\d))\s*(?:and\s+)?(?=[\d½¼¾⅓⅔])(?![\d½¼¾⅓⅔](?:[\d.,\/½¼¾⅓⅔ –-]|\bto\b|\bor\b)*\s*(?:'.
                    UnitWords::FLUID_OUNCES.
                    '|%|(?:'.
                    RecipeLines::HEAPED.
                    '[ \t]+)?\p{L}*\.?)'.
                    '(?:,?[ \t]+(?:'.
                    RecipeLines::LYING.
                    ')|,[ \t]*(?:'.
                    RecipeLines::PREPARED.
                    '(?:[ \t]*,|[ \t]+and\b)?[ \t]*)+)?[ \t]*(?:\([^()\n]*\))?[ \t]*(?:\n|$))|'.
                    '\s+(?:and|with|plus|\+|&)\s+(?!\d{2,3}\s*(?:[°º]|deg|[CF]\b))(?=[\d½¼¾⅓⅔]\S*\s*\S*\s+[a-z])|'.
                    '(?<=\p{L})(?<!\bjust)(?<!\bbit)(?<!\blittle)[ \t]+(?:over|on(?:to)?|into|in|to)[ \t]+(?=[\d½¼¾⅓⅔][\d.,\/]*\s*'.
                    '(?:'.
                    UnitWords::ANY.
                    '|parts?)\b\.?[ \t]+(?!(?:jar|bottle|tin|tube|pot|mould|mold)s?\b)\p{L}))/iu',
                "\n",
                $text,
            ) ?? $text;
        $text = preg_replace_callback(self::EQUAL_PARTS, self::aPartOfEach(...), $text) ?? $text;
        $text = implode("\n", array_map($this->eachBehind(...), explode("\n", $this->beforeAndBehind($text))));
        // Of a line of prose each sentence is a line; "1 oz. of" ends none.
        $text =
            preg_replace(
                '/(?<=[\p{Ll})%][.!]|\d[CF][.!]|\d\s[CF][.!])[ \t]+(?=\p{Lu}|\d[\d –-]*[ \t]*(?:weeks?|days?|hours?|hrs?|months?)\b)/u',
                "\n",
                $text,
            ) ?? $text;
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $line = trim(str_replace(self::WHOLE, ' ', preg_replace(self::BULLET, '', $line) ?? ''));
            if (preg_match(self::DENIED, $line) === 1) {
                $lines[] = $line;

                continue;
            }
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
        [$amount, , $rest] = $this->words->amounts->amount($line);
        $front = $line;
        if ($amount === null && preg_match('/\band\b|&|,.*,/iu', $line) === 1) {
            // "Plantain and yarrow, 10 cups", as if it stood before them.
            $front = $this->lines->amountFirst($line);
            [$amount, , $rest] = $this->words->amounts->amount($front);
        }
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
            $known[] = $this->lines->thing($things[$at]);
        }
        if (in_array(null, $known, true) || count(array_unique($known)) < count($known)) {
            return [$line];
        }
        $first = mb_strpos($front, $rest);

        return $first === false ? [$line] : [mb_substr($front, 0, $first).array_shift($things), ...$things];
    }

    /**
     * What is written as one line, and is several: "melt 20 g beeswax, then add 10 drops lavender", "Salve. 1 cup oil", "60 g shea /
     * 30 g oil", "three parts oil".
     */
    private function parted(string $text): string
    {
        $much = '[\d½¼¾⅓⅔][\d.,\/½¼¾⅓⅔]*\s*(?:'.UnitWords::ANY.'|c|drops?|parts?)\b';
        $done = '(?:stir|mix|add|beat|whisk|blend|melt|warm)';
        $words = implode('|', array_keys(Figures::WORDS));
        $text =
            preg_replace_callback(
                "/\\b({$words})(?=\\s+parts?\\b)|(?<=\\band\\s|\\bplus\\s)({$words}|an?)(?=\\s+".SaidAmount::MEASURES.')/iu',
                fn (array $m) => (string) (Figures::WORDS[mb_strtolower($m[2] ?? $m[1])] ?? 1),
                $text,
            ) ?? $text;
        $text =
            preg_replace(
                [
                    '/[,;.]?\s*\b(?:and|then)\s+(?:then\s+)?(?:stir|mix|add|beat|whisk|blend)\s+in\s+(?=\p{L}[^\n.;]*[,:(–-]\s*\d)/iu',
                    "/[,;.]?\\s*\\b(?:and\\s+|then\\s+)*{$done}(?:\\s+in)?\\s+(?:about\\s+)?(?={$much})/iu",
                    "/(?<=\\p{Ll})(?<!\\bapprox|\\bca|\\bvit|\\bno|\\bmin|\\bmax|\\bcirca)\\.[ \\t]+(?={$much})/iu",
                ],
                "\n",
                $text,
            ) ?? $text;
        $lines = array_map(function (string $line) use ($much): string {
            $pieces = preg_split('/\s+\/\s+/u', $line) ?: [$line];
            $pieces = count(preg_grep('/\d/', $pieces) ?: []) === count($pieces) ? $pieces : [$line];

            return implode("\n", array_map(fn (string $piece): string => self::closeApart($piece, $much), $pieces));
        }, explode("\n", $text));

        return implode("\n", $lines);
    }

    /** "10 g wax/10 g butter" are two, and "1 cup/300 mL oil", "28g/1oz wax" one. */
    private static function closeApart(string $line, string $much): string
    {
        $close = preg_split('/(?<=\p{L})\/(?=[\d½¼¾⅓⅔])/u', $line) ?: [$line];

        return count(preg_grep("/{$much}\\s+\\p{L}{3}[^\\d]*$/iu", $close) ?: []) === count($close) ? implode("\n", $close) : $line;
    }

    /** "Oil: 500 mL olive", "Essential oils: 10 drops lavender, 1 mL rosemary": what it is of, and then the things themselves. */
    private function withoutKinds(string $text): string
    {
        $kinds =
            '/^[ \t]*(?:[-*•][ \t]*)?(?:carrier\s+oils?|oils?|herbs?|flowers?|butters?|wax(?:es)?|'.
            'extras?|additives?)[ \t]*:[ \t]*(?=[\d½¼¾⅓⅔]|\p{L}[^:\n\d]*\s[\d½¼¾⅓⅔][\d.\/]*[ \t]*'.
            UnitWords::ANY.
            '[ \t]*(?:\n|$))/imu';
        $scents = '/^[ \t]*(?:[-*•][ \t]*)?(?:essential\s+oils?|scents?|fragrance)[ \t]*:[ \t]*((?=[\d½¼¾⅓⅔]).*)$/imu';

        // "Ratio 1 part dried herb : 5 parts oil by weight, e.g. 40 g to 200 g".
        $inParts =
            '/(?<=^|[.\n])([ \t]*(?:\p{L}+[ \t]+)?ratio\b\W*)(\d{1,2})[ \t]+parts?[ \t]+(?:of[ \t]+)?'.
            '(?:dried[ \t]+|fresh[ \t]+)?herbs?[ \t]*(?::|to\b)[ \t]*(\d{1,2})'.
            '[ \t]+parts?[ \t]+(?:of[ \t]+)?oil([ \t]+by[ \t]+\p{L}+)?[,.;]?[ \t]*'.
            '(?:(?:e\.g\.?|so|for[ \t]+example)[,:]?[ \t]*)?(?=\n|$|\d)/imu';
        $text = preg_replace($inParts, "\n$1$2:$3$4\n", $text) ?? $text;
        // "Basic ratio: 1 part beeswax to 4 parts oil".
        $text =
            preg_replace('/^[ \t]*(?:\p{L}+[ \t]+)?(?:ratio|formula|proportions?)[ \t]*:[ \t]*(?=\d{1,2}[ \t]+parts?\b)/imu', '', $text) ??
            $text;
        $text = preg_replace('/^(\W*\d{1,2}[ \t]+parts?\b[^:\n]*):[ \t]*(?=\d{1,2}[ \t]+parts?[ \t]+\p{L})/imu', "$1\n", $text) ?? $text;
        // "Ingredients: 30 g dried yarrow" is a heading, and what stands under it.
        $heading = '/^([ \t]*(?:'.RecipeLines::HEADING.'|you\s+need)[ \t]*:)[ \t]*(?=\S)/imu';
        $text = preg_replace([$heading, $kinds], ["$1\n", ''], $text) ?? $text;

        return preg_replace_callback($scents, self::asScents(...), $text) ?? $text;
    }

    /** @param  array<string>  $m what is said to be essential oils */
    private static function asScents(array $m): string
    {
        $each = preg_split('/\s*[,;]\s*/u', $m[1], -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isSaid = fn (string $scent) => preg_match('/\boils?\b|\bdrops?\b/iu', $scent) === 1;

        return implode("\n", array_map(fn (string $scent) => $isSaid($scent) ? $scent : "{$scent} essential oil", $each));
    }

    /** @param  array<string>  $m what is before the list and of all of it, such as "dried", and the list */
    private static function aPartOfEach(array $m): string
    {
        $things = preg_split('/\s*(?:,|&|\+|\band\b)\s*/iu', $m[2], -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return implode("\n", array_map(fn (string $thing) => "1 part {$m[1]}{$thing}", $things));
    }

    /** "50 g comfrey root and leaf" is a line of each; what is strained names nothing new, and a title is one. */
    private function partsApart(string $text): string
    {
        $whole =
            '/^\W*(?:strain|filter|press|squeeze|discard|compost|remove|stir|shake)\b|'.
            '^[^\d½¼¾⅓⅔]*\b(?:oil|salve|balm|ointment|rub|butter)s?\W*(?:\([^)]*\))?\W*$/iu';
        $apart = fn (string $line): string => preg_match($whole, $line) === 1 ? $line : $this->words->partsInFull($line, "\n");

        return implode("\n", array_map($apart, explode("\n", $text)));
    }

    /** "500 mL half olive, half sunflower oil" is so much of each. */
    private function inHalves(string $text): string
    {
        $word = '(?!and\b|oil\b|half\b)\p{L}+';
        $oil = "((?:{$word}[ \\t]+)?{$word})(?:[ \\t]+oil)?";
        $apart = '[ \t]*(?:,|&|\+|\/|\band\b)?[ \t]*';
        $much = '(\W*)([\d½¼¾⅓⅔][^\n]*?)';
        $halves = "/^{$much}[ \\t]+(?:of[ \\t]+)?half[ \\t]+{$oil}{$apart}half[ \\t]+{$oil}[ \\t]*\\.?$/imu";

        return preg_replace_callback(
            $halves,
            function (array $m): string {
                $amount = $this->words->amounts->reading(trim($m[2]));
                $half = $amount === null ? 0.0 : round($amount->value / 2, 1);

                return match ($amount?->kind) {
                    Kind::Volume => "{$half} mL {$m[3]} oil\n{$half} mL {$m[4]} oil",
                    Kind::Mass => "{$half} g {$m[3]} oil\n{$half} g {$m[4]} oil",
                    default => $m[0],
                };
            },
            $text,
        ) ?? $text;
    }

    /** "50 g calendula, comfrey leaf - 20 g" is two, though the one has its amount before it and the other behind. */
    private function beforeAndBehind(string $text): string
    {
        $behind = '(\p{L}[^,;:\n\d(]*?)[ \t]*(?:[ \t]|[:(]|[ \t][–-][ \t])[ \t]*[\d½¼¾⅓⅔][\d.\/½¼¾⅓⅔]*[ \t]*'.UnitWords::ANY.'\)?';

        return preg_replace_callback(
            "/(?<=^|\\n)([ \\t]*[\\d½¼¾⅓⅔][^,;\\n]*\\p{L}),[ \\t]*({$behind}[ \\t]*\\.?(?=\\n|$))/iu",
            fn (array $m): string => $this->lines->thing(trim($m[3])) !== null || preg_match('/\b(?:oil|butter|wax)$/iu', $m[3]) === 1
                ? "{$m[1]}\n{$m[2]}"
                : $m[0],
            $text,
        ) ?? $text;
    }

    /** "Calendula 30 g, dried, olive oil: 300 g": where the amount stands behind the first, each name with one behind it is a line. */
    private function eachBehind(string $line): string
    {
        $measured =
            '\p{L}[^,;:\n\d]*[:\s]\s*[\d½¼¾⅓⅔][\d.,\/ ]*\s*'.
            '(?:(?:'.
            UnitWords::ANY.
            '|drops?|parts?)\b\.?|%)(?:\s*'.
            RecipeLines::STATE.
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
            '/(?<=[\d½¼¾⅓⅔])(\s*)('.UnitWords::ANY.'|c)\.([ \t]+)(?=(\p{L}+(?:\s+\p{L}+)?))/iu',
            fn (array $m) => $m[1].
                str_replace('.', '', $m[2]).
                ($this->lines->isStep($m[4]) || array_diff(WayWords::in($m[4]), ['cold']) !== [] ? "\n" : $m[3]),
            $text,
        ) ?? $text;
    }
}
