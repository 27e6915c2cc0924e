<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/** What the words of a written recipe mean: amounts, herbs, oils, forms, states and ways. */
final readonly class RecipeWords
{
    public const KITCHEN =
        'kitchen|cooking|dressings?|salads?|marinades?|dipping|drizzl\w*|finishing|edible|'.
        'eating|to eat|pasta|pizza|bread|table|confit';

    /** Ground ivy is no powder. */
    public const POWDERED = 'powder(?:ed)?|ground(?!\s+(?:ivy|elder))';

    /** What people call a form, the first that is found. */
    private const FORMS = [
        'powder' => '/\b(?:'.self::POWDERED.')\b/i',
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

    /** Words that make a thing an oil or a fat. */
    private const OILS = '/\b(oils?|ghee|tallow|lard|suet|schmaltz|dripping|grease|jojoba|shea|butters?|fats?(?!\s+cloves?\b))\b/iu';

    /** Of a herb: a dry day, or a dry jar, is none. */
    private const DRY = 'dry(?!\s+(?:days?|weather|mornings?|places?|skin|hair|jars?|bottles?|spoons?|cloths?|hands?)\b)';

    /** What is dried with a cloth is as wet as before. */
    private const DRY_OUTSIDE =
        '/\b(?:(?:picked|gathered|harvested)\s+(?:when\s+|while\s+)?dry\b|'.
        '(?:squeezed|pat(?:ted)?|wrung|dabbed|spun|shaken|blotted|wiped|towel(?:led)?)[\s-]+(?:\p{L}+\s+)?(?:dry|dried)|'.
        '(?:washed|rinsed|blanched),?\s+(?:and\s+|then\s+)*'.
        '(?:(?:very|thoroughly|well)\s+)*(?:dry|dried)|dry\s+(?:very\s+)?(?:well|thoroughly))\b/iu';

    /** What is raw or green besides herbs: an oil, a butter, a jar, and tea that is dried. */
    private const NOT_OF_HERBS =
        '\s+(?:[\p{L}-]+\s+){0,2}(?:oils?|butters?|honey|bees?wax|wax)\b|'.
        '\s+(?:teas?|olives?|coconut|sesame|shea|cocoa|glass|jars?|bottles?|'.
        'cardamoms?|peppercorns?)\b';

    /** What was frozen has all its water, and what was dried by frost has none. */
    public const FROZEN = '/(?<!freeze[ -])\b(?:frozen|defrosted|thawed)\b|\b(?:from|out\s+of)\s+(?:the|my|our)\s+freezer\b/iu';

    /** "Not for eating" is for no kitchen. */
    public const NOT_FOR = '/\b(?:not|never)\s+(?:\p{L}+\s+)?(?:for|to)\s+[^,;.]*/iu';

    private const PURPOSES = [
        'kitchen' => '/\b(?:'.self::KITCHEN.')\b/i',
        'salve' => '/\b(salves?|balms?|ointments?)\b/i',
        'hair' => '/\b(hair|scalp|beard)\b/i',
        'face' => '/\bface|facial\b/i',
        'massage' => '/\b(massage|muscles?|joints?)\b/i',
        'perfume' => '/\bperfumes?\b/i',
        'skin' => '/\bskin|body\b/i',
    ];

    /** Oil is held at 30 to 75 °C; 101 to 200 is no degree Celsius that it is held at: common practice, no source. */
    private const CELSIUS_FROM = 30;

    private const CELSIUS_TO = 75;

    private const FAHRENHEIT_FROM = 101;

    private const FAHRENHEIT_TO = 200;

    private HerbNames $herbs;

    public WrittenAmounts $amounts;

    public function __construct(private Cupboard $cupboard, Kitchen $kitchen)
    {
        $this->amounts = new WrittenAmounts($kitchen);
        $this->herbs = new HerbNames($cupboard);
    }

    /** "In coconut oil, virgin, at 1:5": a comma of a name parts nothing; one before the name of another does. */
    public function withoutCommasInNames(string $text): string
    {
        foreach ([...$this->cupboard->herbs(), ...$this->cupboard->carriers()] as $named) {
            $name = str_contains($named->name, ',')
                ? '/'.preg_quote($named->name, '/').'(?=\s*(?:[,;.:()]|$|(?:oil|with|and)\b))/iu'
                : null;
            $text = $name === null ? $text : preg_replace($name, str_replace(',', '', $named->name), $text) ?? $text;
        }

        return $text;
    }

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
        if (preg_match(self::DRY_OUTSIDE, $text, $m) === 1) {
            $text = str_replace($m[0], ' ', $text);
            // With a cloth only what is fresh is dried.
            $text .= preg_match('/^(?:wash|rins|blanch|dry)/iu', $m[0]) === 1 ? '' : ' fresh';
        }

        return match (true) {
            // With all its water, and the cells burst.
            preg_match(self::FROZEN, $text) === 1 => 'fresh',
            // What was picked fresh, and lay a night, is wilted.
            preg_match(
                '/(?<!\bnot\s)\b(?:wilted|(?:let|left|leave)\s+(?:\S+\s+){0,3}wilt)\b|'.
                    '(?<=,)\s*(?:then\s+)?wilt\s+(?:overnight|for|a\s+(?:day|night)|\d+)\b/i',
                $text,
            ) === 1 => 'wilted',
            preg_match(
                '/\b(fresh(ly)?(?!\s+('.
                    self::POWDERED.
                    '|dried|cracked|crushed))|'.
                    'raw(?!'.
                    self::NOT_OF_HERBS.
                    ')|just[\s-]+picked|picked (this|today|yesterday)|green(?!'.
                    self::NOT_OF_HERBS.
                    '))\b/i',
                $text,
            ) === 1 => 'fresh',
            preg_match('/\b(dried|'.self::DRY.'|'.self::POWDERED.'|flakes?|desiccated|peppercorns?)\b/i', $text) === 1 => 'dried',
            default => null,
        };
    }

    /** A pattern of plants that are called a balm: lemon balm, bee balm. */
    public function balmsThatGrow(): string
    {
        return $this->herbs->balms();
    }

    /** What it is made for, where a text says so, by id of a purpose. */
    public function purpose(string $text): ?string
    {
        $text = preg_replace([$this->balmsThatGrow(), self::NOT_FOR], '', $text) ?? $text;
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
        $sign = '\s*(?:°|º|deg(?:rees)?\.?)?\s*';
        // "40-45 °C": the middle of it.
        if (preg_match("/\\b(\\d{2,3}){$sign}[FC]?\\s*(?:-|–|to|and)\\s*(\\d{2,3}){$sign}([FC])\\b/u", $text, $m) === 1) {
            $m = [$m[0], (string) (((float) $m[1] + (float) $m[2]) / 2), $m[3]];
        } elseif (preg_match("/\\b(\\d{2,3}){$sign}([FC])\\b/u", $text, $m) !== 1) {
            $bare = preg_match('/\b(\d{2,3})\s*(?:[°º]|deg(?:rees)?\b)/u', $text, $m) === 1 ? self::degreesIn((int) $m[1]) : null;
            if ($bare === null) {
                return null;
            }
            $m[2] = $bare;
        }
        $celsius = self::celsius((float) $m[1], $m[2]);

        return $celsius > 15 && $celsius < 200 ? $celsius : null;
    }

    /** @param  string  $unit "C" or "F" */
    public static function celsius(float $degrees, string $unit): float
    {
        return $unit === 'F' ? (($degrees - 32) * 5) / 9 : $degrees;
    }

    /** "C" or "F", where nobody says which; null where it may be either. */
    public static function degreesIn(int $degrees): ?string
    {
        return match (true) {
            $degrees >= self::CELSIUS_FROM && $degrees <= self::CELSIUS_TO => 'C',
            $degrees >= self::FAHRENHEIT_FROM && $degrees <= self::FAHRENHEIT_TO => 'F',
            default => null,
        };
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
        // "Coconut oil (fractionated)" is another oil than coconut oil.
        $rest = preg_replace('/^(\p{L}[^,(]*?\boil)\s*[,(]?\s*\b(fractionated|high[\s-]oleic)\b\)?/iu', '$2 $1', $rest) ?? $rest;
        $rest = preg_replace('/\bhigh\s+oleic\b/iu', 'high-oleic', $rest) ?? $rest;
        $plain = trim(preg_replace('/\([^)]*\)|,.*$/u', ' ', $rest) ?? $rest);
        // "Oil of choice - fill the jar to the top".
        $before = preg_replace('/\s+[–—-]\s+.*$/u', '', $plain) ?? $plain;
        $plain = preg_match(self::OILS, $before) === 1 ? $before : $plain;
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
                '/\b(organic|pure|mild|ordinary|regular|local|cold[\s-]*pressed|refined|unrefined|virgin|extra|light|'.
                    'good|melted|rendered|of|your|any|some|choice|favou?rite)\b|\s+/iu',
                ' ',
                $plain,
            ) ?? $plain,
        );

        return ['id' => '', 'name' => mb_substr(trim(preg_replace('/\s+/', ' ', $own) ?? $own, ' .') ?: 'oil', 0, 60)];
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
            '/^(organic|pure|mild|fruity|plain|cheap|ordinary|regular|local|pressed|'.
                'refined|unrefined|virgin|extra|light|of|and|in|into|under|over|warm|warmed|hot|the|raw|'.
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

    /**
     * A herb of the tables that a text names. Where it is another part of the plant, it is none, but for a plant that is to be
     * heeded whole; where it is another plant with such a name, it is none.
     *
     * @return array{id: string, name: string, other: ?string}|null what other part was written, if it stands for it
     */
    public function knownHerb(string $text): ?array
    {
        $best = $this->nearestHerb($text);

        if ($best === null || $best['id'] === '') {
            return null;
        }

        return $best['other'] !== null && ! PlantPart::isHeededWhole($this->cupboard->herb($best['id'])) ? null : $best;
    }

    /** "nettle root" where it is nettle leaf that is known, "dead nettle"; null where the text names nothing beside what is known. */
    public function otherPart(string $text): ?string
    {
        return $this->nearestHerb($text)['other'] ?? null;
    }

    /** "Comfrey root & leaf" are two herbs of one name, said in full; "violet flowers and leaves" are one. */
    public function partsInFull(string $text, string $glue = ' and '): string
    {
        $two =
            '/(?<name>\p{L}[\p{L}\'’-]*(?:\s+\p{L}[\p{L}\'’-]*)?)\s+(?<one>'.
            PlantPart::any().
            ')\s*(?:\band\b|&|\+|\/)\s*(?<other>'.
            PlantPart::any().
            ')\b/iu';

        return preg_replace_callback(
            $two,
            function (array $m) use ($glue): string {
                $name =
                    preg_replace('/^(?:'.UnitWords::ANY.'|dried|dry|fresh|wilted|chopped|of|and|with|in)\s+/iu', '', $m['name']) ??
                    $m['name'];
                [$one, $other] = [$this->nearestHerb("{$name} {$m['one']}"), $this->nearestHerb("{$name} {$m['other']}")];
                if ($one !== null && ($other === null || $one['id'] !== $other['id'] || $other['other'] !== null)) {
                    return "{$m['name']} {$m['one']}{$glue}{$name} {$m['other']}";
                }

                return $m[0];
            },
            $text,
        ) ?? $text;
    }

    /**
     * The part of a plant that a title names, in full: "petals" under "Calendula oil" are calendula petals, and "leaves" under
     * "Comfrey oil" comfrey leaves. Null where it names none, or more than one.
     */
    public function partOf(string $title, string $part): ?string
    {
        $found = $this->herbs->in("{$title} {$part}") ?? $this->herbs->in(preg_replace(self::OILS, '', $title)." {$part}");
        $others = $found === null ? '' : str_replace($found['by'], ' ', $found['text']);
        if ($found === null || $this->herbs->in($others) !== null) {
            return null;
        }
        $plant = preg_replace('/\s+'.PlantPart::any().'$/u', '', $found['by']) ?? $found['by'];

        return "{$plant} {$part}";
    }

    /** Whether a herb is named, of the tables or what goes by a name beside theirs. */
    public function namesHerb(string $text): bool
    {
        return $this->nearestHerb($text) !== null;
    }

    /** Whether it is water that is spoken of, and no plant that has it in its name: water mint, water hemlock. */
    public function isWater(string $text): bool
    {
        return preg_match('/\bwater\b/iu', $text) === 1 && preg_match('/\bwater\b/u', $this->herbs->in($text)['by'] ?? '') !== 1;
    }

    /** @return array{id: string, name: string, other: ?string}|null id empty where it is a plant that no table has */
    private function nearestHerb(string $text): ?array
    {
        $found = $this->herbs->in($text);
        if ($found === null) {
            return null;
        }
        $herb = $found['herb'];

        return is_string($herb)
            ? ['id' => '', 'name' => $herb, 'other' => $herb]
            : ['id' => $herb->id, 'name' => $herb->name, 'other' => PlantPart::other($herb, $found['text'], $found['by'])];
    }
}
