<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;

/** What the words of a written recipe mean: amounts, herbs, oils, forms, states and ways. */
final readonly class RecipeWords
{
    private const KITCHEN =
        'kitchen|cooking|dressings?|salads?|marinades?|dipping|drizzl\w*|finishing|edible'.'|to eat|pasta|pizza|bread|table';

    /** What people call a form, the first that is found. */
    private const FORMS = [
        'powder' => '/\b(powder(ed)?|ground)\b/i',
        'tea-bag' => '/\btea\s*-?bags?\b/i',
        'bud' => '/\bbuds?\b/i',
        'bark-shavings' => '/\b(shavings|chips)\b/i',
        'resin' => '/\bresins?\b/i',
        'bulb' => '/\bbulbs?\b/i',
        'root' => '/\b(roots?|rhizomes?)\b/i',
        'seed-berry' => '/\b(seeds?|berr(y|ies)|hips?)\b/i',
        'twig' => '/\b(bark|twigs?|stems?|sticks?)\b/i',
        'thick-leaf' => '/\b(needles?|tips|peels?|zest)\b/i',
        'flower-heads' => '/\b(flowers?|petals?|blossoms?|heads?)\b/i',
        'thin-leaf' => '/\b(leaf|leaves|herbs?)\b/i',
    ];

    private const PART =
        'roots?|leaf|leaves|flowers?|petals?|blossoms?|buds?|barks?|berr(?:y|ies)|seeds?|peels?|tips|needles?'.
        '|resin|fruit|calyx|nib|herb|hips?';

    /** Names that are as often something else: a nut, a fruit, the drink. */
    private const ALSO_OTHERS = ['rose', 'lemon', 'lime', 'orange', 'walnut', 'castor', 'tea', 'mustard', 'celery', 'pine', 'sage'];

    /** Words that make a thing an oil or a fat. */
    private const OILS = '/\b(oils?|ghee|tallow|lard|suet|schmaltz|dripping|grease|jojoba|shea|butters?|fats?)\b/iu';

    private const PURPOSES = [
        'kitchen' => '/\b(?:'.self::KITCHEN.')\b/i',
        'salve' => '/\b(salves?|balms?|ointments?)\b/i',
        'hair' => '/\b(hair|scalp|beard)\b/i',
        'face' => '/\bface|facial\b/i',
        'massage' => '/\b(massage|muscles?)\b/i',
        'perfume' => '/\bperfumes?\b/i',
        'skin' => '/\bskin|body\b/i',
    ];

    /** What begins a line that tells what to do; words that begin a name as well do so only before such as "the" or "in". */
    private const STEP =
        '/^(?:(?:then|next|now|first|finally|when|once|after|gently|carefully|slowly)\b,?\s*)*'.
        '(?:(?:pour|strain|stir|shake|cover|fill|put|place|set|leave|let|allow|melt|bring|turn|remove|add|combine|'.
        'squeeze|bottle|label|store|keep|seal|cap|wash|wait|check|'.
        'use|apply|do\s+not|don[’\']?t|infuse|steep|simmer|gather|spread|filter|discard|transfer|wipe|decant|swirl)\b(?!-)|'.
        '(?:heat|warm|mix|blend|press|cut|chop|crush|grind|dry|clean|make|be|rub|massage|cook|bake|pick|wilt|pack|top|line)\s+'.
        '(?:it|them|the|an?|all|your|up|in|on|to|with|until|over|well|gently|sure|down|out)\b)/iu';

    public const METHODS = [
        'slow-cooker' => '/\bslow[\s-]*cook/i',
        'double-boiler' => '/\bdouble[\s-]*boiler|bain[\s-]*marie/i',
        'solar' => '/\b(sun|sunny|solar|window\s*sill)\b/i',
        'incubator' => '/\byogh?urt/i',
        'water-bath' => '/\bwater[\s-]*bath/i',
        'poured-hot' => '/\b(hot|warmed)\s+oil\s+over|pour(ed)?\s+hot/i',
        'cold' => '/\b(cold|dark|shelf|cupboard|steep|infuse|shake)\b/i',
    ];

    public function __construct(private Cupboard $cupboard, private Kitchen $kitchen) {}

    /** The form of a herb that a text speaks of, by id. */
    public function form(string $text): ?string
    {
        foreach (self::FORMS as $id => $pattern) {
            if (preg_match($pattern, $text) === 1) {
                return $id;
            }
        }

        return null;
    }

    /** dried, wilted or fresh, where it is said; what is ground, powdered or flaked is dried */
    public function state(string $text): ?string
    {
        return match (true) {
            preg_match(
                '/\b(fresh(ly)?(?!\s+(ground|dried|cracked|crushed))|raw|just[\s-]+picked|picked (this|today|yesterday)|green)\b/i',
                $text,
            ) === 1 => 'fresh',
            preg_match('/\bwilted\b/i', $text) === 1 => 'wilted',
            preg_match('/\b(dried|dry|ground|powder(ed)?|flakes?|desiccated|peppercorns?)\b/i', $text) === 1 => 'dried',
            default => null,
        };
    }

    /** What it is made for, where a text says so, by id of a purpose. */
    public function purpose(string $text): ?string
    {
        foreach (self::PURPOSES as $id => $pattern) {
            if (preg_match($pattern, $text) === 1 && isset($this->cupboard->purposes()[$id])) {
                return $id;
            }
        }

        return null;
    }

    /** A warmth in a text, degrees C. */
    public function warmth(string $text): ?float
    {
        if (preg_match('/\b(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*([FC])\b/u', $text, $m) !== 1) {
            return null;
        }
        $celsius = $m[2] === 'F' ? (((float) $m[1] - 32) * 5) / 9 : (float) $m[1];

        return $celsius > 15 && $celsius < 200 ? $celsius : null;
    }

    /** @return list<string> ids of the methods a line speaks of; the cold shelf, which any words of waiting mean, last */
    public function methods(string $line): array
    {
        return array_keys(array_filter(self::METHODS, fn (string $pattern) => preg_match($pattern, $line) === 1));
    }

    /**
     * The amount a line begins with, as written, what comes after it, and one beside it in brackets. As many words as
     * can be read together are one amount: "1 lb 3 oz", "1 cup + 2 tbsp".
     *
     * @return array{?Amount, string, string, ?Amount}
     */
    public function amount(string $line): array
    {
        $line = Counts::inFigures(trim(preg_replace('/^(?:about|approx(?:imately|\.)?|ca\.?|circa|roughly)\s+/iu', '', $line) ?? $line));
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

    /**
     * An ingredient with its amount before it, however it is written: "olive oil: 250 ml", "beeswax 20 g", "calendula, a
     * handful", "olive oil (1 cup)", "take 1 oz of petals". What is no ingredient stays as it is.
     */
    public function amountFirst(string $line): string
    {
        $verb = '/^(?:take|use|add|pour|mix|combine|put|place|infuse|weigh(?:\s+out)?|measure(?:\s+out)?)\s+(?=[\d½¼¾⅓⅔]|an?\b|half\b)/iu';
        $bare = preg_replace($verb, '', $line) ?? $line;
        if ($bare !== $line && $this->amount($bare)[0] !== null) {
            return $bare;
        }
        $number = '[\d½¼¾⅓⅔][^,:()]*';
        $amount = "((?:{$number}|an?\\s[^,:()]*|half\\s[^,:()]*))";
        if (
            preg_match("/^(\\p{L}[^:()]*?)\\s*(?:[,:]|\\s[-–—])\\s*{$amount}$/u", $line, $m) !== 1 &&
            preg_match("/^(\\p{L}[^:()]*?)\\s*\\({$amount}\\)$/u", $line, $m) !== 1 &&
            preg_match("/^(\\p{L}[^:()\\d½¼¾⅓⅔]*?)\\s+({$number})$/u", $line, $m) !== 1
        ) {
            return $line;
        }
        [$read, , $rest] = $this->amount($m[2]);
        $counted = $read === null ? $this->count($m[2]) : null;
        $is = $counted === null ? $read !== null && $read->kind !== Kind::Time && $rest === '' : $this->isCounted($counted[2]);

        return $is &&
            ! $this->isStep($line) &&
            $this->warmth($m[2]) === null &&
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
        $loose =
            ! $made['guess'] &&
            ! in_array($made['as'], ['step', 'unread', 'name'], true) &&
            preg_match('/\b(?:few|several)\b/iu', $line) === 1;

        return [
            'line' => $line,
            'as' => $made['as'],
            'says' => $loose ? rtrim($made['says'], '.').'; how many is a guess.' : $made['says'],
            'guess' => $made['guess'] || $loose,
        ];
    }

    private function isCounted(string $word): bool
    {
        return preg_match('/^(?:drops?|parts?)$/iu', trim($word)) === 1 || (new Counts($this->cupboard->tables()))->isCounted($word);
    }

    /** @return array{float, float, string}|null the least and most of a bare number a line begins with, and what comes after it */
    public function count(string $line): ?array
    {
        $line = Counts::inFigures($line);
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

    public function reading(string $typed): ?Amount
    {
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

    /** @return array{string, ?Amount} */
    private function aside(string $rest): array
    {
        if (preg_match('/\(([^)]{1,30})\)|\/\s*(\d[\d.,]*\s*(?:g|ml|oz|cups?|c)\b)/i', $rest, $m) !== 1) {
            return [$rest, null];
        }
        $amount = $this->reading(trim($m[2] ?? '') !== '' ? $m[2] : $m[1]);

        return $amount === null ? [$rest, null] : [trim(str_replace($m[0], ' ', $rest)), $amount];
    }

    /**
     * An oil or fat that a text names; one that no table knows keeps its own name.
     *
     * @return array{id: string, name: string}|null id empty where it is not known
     */
    public function oil(string $rest): ?array
    {
        if (preg_match('/\bessential\b/i', $rest) === 1) {
            return null;
        }
        $plain = trim(preg_replace('/\([^)]*\)|,.*$/u', ' ', $rest) ?? $rest);
        $isOil = preg_match(self::OILS, $plain) === 1;
        $found = null;
        foreach ($this->cupboard->carriers() as $carrier) {
            foreach ([$carrier->name, ...$this->shortNames($carrier->name), ...$carrier->names->also] as $name) {
                // A name that is a plant's as well is an oil only where it says so.
                if (
                    ($isOil || preg_match(self::OILS, $name) === 1) &&
                    preg_match('/\b'.preg_quote($name, '/').'s?\b/iu', $plain) === 1 &&
                    mb_strlen($name) > mb_strlen($found['by'] ?? '')
                ) {
                    $found = ['id' => $carrier->id, 'name' => $carrier->name, 'by' => $name];
                }
            }
        }
        // "walnut and mustard oil" is two; "toasted pumpkin oil" is neither olive nor anything else that is known.
        if ($found !== null && ($isOil || preg_match(self::OILS, $found['by']) === 1) && ! $this->isOfAnother($plain, $found['by'])) {
            return ['id' => $found['id'], 'name' => $found['name']];
        }
        if (! $isOil) {
            return null;
        }
        $own = trim(
            preg_replace(
                '/\b(organic|pure|cold[\s-]*pressed|refined|unrefined|virgin|extra|light|'.
                    'good|melted|rendered|of|your|any|some|choice|favou?rite)\b|\s+/iu',
                ' ',
                $plain,
            ) ?? $plain,
        );

        return ['id' => '', 'name' => mb_substr(trim(preg_replace('/\s+/', ' ', $own) ?? $own) ?: 'oil', 0, 60)];
    }

    /** Whether another word stands before a short name, that makes it another oil: "pumpkin seed oil" is no "seed oil". */
    private function isOfAnother(string $text, string $by): bool
    {
        // "peanut butter" is no peanut oil.
        if (
            preg_match('/'.preg_quote($by, '/').'s?\s+(butter|fat)\b/iu', $text, $m) === 1 &&
            preg_match('/\b'.$m[1].'\b/iu', $by) !== 1
        ) {
            return true;
        }
        if (preg_match('/(\p{L}+)\s+'.preg_quote($by, '/').'/iu', $text, $m) !== 1) {
            return false;
        }

        return preg_match(
            '/^(organic|pure|pressed|refined|unrefined|virgin|extra|light|of|and|warm|warmed|hot|the|raw|'.
                'toasted|roasted|good|best|more|plain|melted|cup|cups|with|sweet|bitter|rendered|leaf|enough|'.
                'some|any|your|use|add|pour|fresh)$/i',
            $m[1],
        ) !== 1;
    }

    /** @return list<string> what an oil is called for short: "olive", "coconut" */
    private function shortNames(string $name): array
    {
        $short = trim(preg_replace('/\s*(oil|butter)?(,.*)?$/', '', $name) ?? '');

        return $short === '' || $short === 'lard' ? [] : [$short.' oil', $short];
    }

    /** @return array{id: string, name: string}|null */
    public function knownHerb(string $text): ?array
    {
        $best = null;
        $plain = mb_strtolower(str_replace(['’', "'"], '', $text));
        foreach ($this->cupboard->herbs() as $herb) {
            foreach ($herb->also as $name) {
                $name = mb_strtolower(str_replace(['’', "'"], '', $name));
                if (preg_match('/\b'.preg_quote($name, '/').'(e?s)?\b/u', $plain) === 1 && mb_strlen($name) > ($best['length'] ?? 0)) {
                    $best = ['id' => $herb->id, 'name' => $herb->name, 'length' => mb_strlen($name)];
                }
            }
            $full = mb_strtolower(str_replace(['’', "'"], '', $herb->name));
            // "marshmallow" is the root of it; "white" and "ground" are words of many plants, and of none.
            $short = preg_replace('/ ('.self::PART.')$/', '', $full) ?? $full;
            foreach ([$full, mb_strtolower($herb->latin), in_array($short, self::ALSO_OTHERS, true) ? $full : $short] as $name) {
                if (
                    $name !== '' &&
                    preg_match('/\b'.preg_quote($name, '/').'(e?s)?\b/u', $plain) === 1 &&
                    mb_strlen($name) > ($best['length'] ?? 0)
                ) {
                    $best = ['id' => $herb->id, 'name' => $herb->name, 'length' => mb_strlen($name)];
                }
            }
        }

        return $best === null ? null : ['id' => $best['id'], 'name' => $best['name']];
    }

    /** A line that tells what to do, and is no ingredient. */
    public function isStep(string $line): bool
    {
        return preg_match(self::STEP, trim($line)) === 1;
    }

    /** A heading over what follows, that says nothing of its own. */
    public function isHeading(string $line): bool
    {
        return preg_match('/^(ingredients?|method|directions|instructions|steps?|you will need|for the (oil|infusion))\s*:?$/i', $line) ===
            1;
    }

    public function isMethod(string $line): bool
    {
        return $this->methods($line) !== [];
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
            (str_ends_with($bare, '.') || $this->knownHerb($line) !== null || preg_match('/\b(?:oil|salve|balm|rub)s?$/u', $bare) !== 1);

        return preg_match('/\d|[½¼¾⅓⅔]/u', $line) !== 1 && mb_strlen($line) <= 80 && ! $this->isMethod($line) && ! $step;
    }

    /** @return list<string> */
    public function split(string $text): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);
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
                    '(?:[,;]\s*(?:and\s+)?(?=[\d½¼¾⅓⅔])(?![\d½¼¾⅓⅔][\d.,\/ ]*\s*\p{L}*\.?[ \t]*(?:\n|$))|'.
                    '\s+(?:and|with|plus)\s+(?=[\d½¼¾⅓⅔]\S*\s*\S*\s+[a-z])|'.
                    '(?<=\p{L})[ \t]+(?:over|into|in|to)[ \t]+(?=[\d½¼¾⅓⅔][\d.,\/]*\s*'.
                    '(?:g|kg|ml|cl|dl|l|oz|fl|cups?|tbsp|tsp|pints?|quarts?|lbs?)\b\.?[ \t]+(?!jars?\b|bottles?\b)\p{L}))/iu',
                "\n",
                $text,
            ) ?? $text;
        // Of a line of prose each sentence is a line; "1 oz. of" ends none.
        $text = preg_replace('/(?<=[\p{Ll})][.!]|\d[CF][.!]|\d\s[CF][.!])[ \t]+(?=\p{Lu})/u', "\n", $text) ?? $text;
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $line = trim(preg_replace('/^\s*(?:[-*•·▢☐]|\d{1,2}[.)]\s)\s*/u', '', $line) ?? '');
            if ($line !== '') {
                $lines[] = $line;
            }
        }

        return $lines;
    }
}
