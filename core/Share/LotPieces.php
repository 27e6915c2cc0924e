<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Figures;
use Kettle\Measure\UnitWords;

/** The pieces of a line as it is written on a lid: what is between its commas, and what is two without one. */
final readonly class LotPieces
{
    /** What an amount stands in, and says nothing more of. */
    public const IN_A = '(?:bottles?|cans?|canisters?|tins?|tubs?|bags?|sachets?|packets?|packs?|cartons?|jars?|boxes|box)';

    /** What is said of an oil behind its name, and belongs to it: "coconut oil (virgin)". */
    public const OF_ITS_NAME =
        '(?:extra\s+)?virgin|(?:un)?refined|fractionated|(?:un)?toasted|'.'high[\s-]oleic|cold[\s-]pressed|organic|raw|filtered';

    private const MASS = '[\d½¼¾⅓⅔][\d.,\/½¼¾]*\s*'.UnitWords::MASS;

    private const MEASURE = '[\d½¼¾⅓⅔][\d.,\/½¼¾]*\s*(?:'.UnitWords::MASS.'|'.UnitWords::CAPACITY.')';

    /** "Sunflower oil 5 L can". */
    private const STANDS_IN_A = '/^(\p{L}.*\s'.self::MEASURE.')\s+'.self::IN_A.'$/iu';

    /** So many tins of a size are tins, with nothing in them; behind a name they are full of it. */
    private const VESSELS_FIRST = '(?!\d+\s*[x×].*\b(?:tin|jar|bottle)s?$)';

    public const BEST_BEFORE = 'best\s+before(?:\s+end)?|best\s+by|use\s+by|use\s+before|bbe?|exp(?:iry|ires)?';

    /** A month of a year, that stands by itself wherever it is. */
    private const MONTH = SaidDay::ANY_MONTH.'\s+20\d\d';

    /** How a herb is got that is not bought. */
    public const GATHERED = 'picked|gathered|foraged|harvested|dug|collected';

    /** How it was got, with a day or a place behind it: "hand picked rose petals" are not picked anywhere. */
    private const GOT_THEN =
        '(?:opened|bought|'.self::GATHERED.'|made)\s+'.'(?:(?:on|in|at|from)\s+|(?=\d|today|yesterday|last\b|this\b))';

    /** Where it is from, with the day behind it, or how it is. */
    private const FROM = '/^(\p{L}.*\S)\s+(from\s+\p{L}.*?)(?:\s+(?:on\s+)?('.SaidDay::DATE.'))?(\s+(?:dried|dry|wilted|fresh))?$/iu';

    public function __construct(private RecipeWords $words) {}

    /** @return list<string> */
    public function of(string $line): array
    {
        $line = preg_replace('/^(?:some|my|our|the|a\s+(?:little|bit\s+of))\s+(?=\p{L})/iu', '', $line) ?? $line;
        $line = LotVessels::manyFirst($line);
        // An old oil is one all the same; old man's beard is a lichen.
        $line = preg_replace('/^old\s+(?!man)([^,;(]+)/iu', '$1; old', $line) ?? $line;
        // "Lavender oil 10 mL (essential)".
        $line =
            preg_replace('/^(\p{L}[^,;()\d]*?)\boil\b([^()]*?)\s*\(\s*essential(?:\s+oil)?\s*\)/iu', '$1essential oil$2', $line) ?? $line;
        // What is in brackets stands by itself, but for what belongs to the name before it.
        $line = preg_replace('/('.self::MEASURE.')\s*\(\s*('.self::OF_ITS_NAME.')\s*\)/iu', '$1; $2', $line) ?? $line;
        $line = preg_replace('/\s*\(\s*('.self::OF_ITS_NAME.')\s*\)/iu', ' $1', Figures::ascii($line)) ?? $line;
        $line = preg_replace('/\s*\(([^()]*)\)/u', '; $1; ', $line) ?? $line;

        // A comma between two digits is of a number.
        $pieces = preg_split('/[,;](?!\d)|[,;](?<!\d[,;])/u', $line) ?: [];

        return $this->packed($this->parted(array_merge([], ...array_map(self::byDashes(...), $pieces))));
    }

    /**
     * "Calendula - dried - 100 g - July 2026" is four; "60 g - 80 g" is one amount.
     *
     * @return list<string>
     */
    private static function byDashes(string $piece): array
    {
        $each = [];
        foreach (preg_split('/\s+[–—-]\s+/u', $piece) ?: [$piece] as $one) {
            $last = array_key_last($each);
            $before = $last === null ? '' : trim($each[$last]);
            // "100 mL - 12 GBP" is no range of one thing.
            $isRange =
                preg_match('/\d$/u', $before) === 1
                    ? preg_match('/^\d/', $one) === 1
                    : preg_match('/(?:^|\s)'.self::MEASURE.'$/iu', $before) === 1 &&
                        preg_match('/^'.self::MEASURE.'(?!\p{L})/iu', $one) === 1;
            if ($last !== null && $isRange) {
                $each[$last] .= ' - '.$one;
            } else {
                $each[] = $one;
            }
        }

        return $each;
    }

    /**
     * A piece that is two: "olive oil 1 L bb 03/2027", "nettle @ 3.20", "olive oil (1 gallon)".
     *
     * @param  list<string>  $pieces
     * @return list<string>
     */
    private function parted(array $pieces): array
    {
        $parted = [];
        $pieces = array_merge([], ...array_map($this->behindTheAmount(...), $pieces));
        foreach (array_filter(array_map(trim(...), $pieces), fn (string $piece) => $piece !== '') as $piece) {
            // "A 5 L can of sunflower oil", "100 g bag".
            $piece =
                preg_replace(
                    [
                        '/^('.self::MEASURE.')\s+'.self::IN_A.'\s+of\s+(?=\p{L})/iu',
                        '/^'.($parted === [] ? self::VESSELS_FIRST : '').'((?:\d+\s*x\s*)?'.self::MASS.')\s+'.self::IN_A.'$/iu',
                    ],
                    ['$1 ', '$1'],
                    $piece,
                ) ?? $piece;
            // "Comfrey leaf, dried July 2026 120 g".
            if (
                preg_match(
                    '/^(?!(?:dried|dry|wilted|fresh|frozen)\s+\p{L}+\.?\s+\d)(\p{L}.*\S)\s+('.self::MONTH.')(\s+\S.*)?$/iu',
                    $piece,
                    $m,
                ) === 1 &&
                preg_match(
                    '/\b(?:'.self::BEST_BEFORE.'|opened|bought|'.self::GATHERED.'|made|on|in|of|\d{1,2}(?:st|nd|rd|th)?)$/iu',
                    $m[1],
                ) !== 1
            ) {
                array_push($parted, $m[1].($m[3] ?? ''), $m[2]);
            } elseif (preg_match('/^('.self::MEASURE.')\s+(from\s+\p{L}.*)$/iu', $piece, $m) === 1) {
                array_push($parted, $m[1], $m[2]);
            } elseif (preg_match('/^(.*\S)\s*@\s*(\p{Sc}?\s*\d.*)$/u', $piece, $m) === 1) {
                array_push($parted, $m[1], $m[2]);
            } elseif (preg_match('/^(.*?\p{L}.*?)\s+(?:at\s+|for\s+)?(\p{Sc}\s*\d[\d.,]*|\d[\d.,]*\s*\p{Sc})$/u', $piece, $m) === 1) {
                array_push($parted, $m[1], $m[2]);
            } elseif (preg_match('/^(.*\S)\s+((?:'.self::BEST_BEFORE.')\b\s*\S.*|'.self::GOT_THEN.'.*)$/iu', $piece, $m) === 1) {
                array_push($parted, $m[1], $m[2]);
            } elseif (preg_match(self::FROM, $piece, $m) === 1) {
                array_push($parted, $m[1].($m[4] ?? ''), $m[2], ...($m[3] ?? '') === '' ? [] : [$m[3]]);
            } else {
                $parted[] = $piece;
            }
        }

        // Last, when what was written behind it stands by itself.
        return array_map(fn (string $piece) => preg_replace(self::STANDS_IN_A, '$1', $piece) ?? $piece, $parted);
    }

    /** "BBE 12/26" where no day is meant, and amounts that are not to the gram, without the words for that. */
    public static function plain(string $line): string
    {
        $before = '/\b((?:'.self::BEST_BEFORE.')\.?:?\s*)(0?[1-9]|1[0-2])\s*[\/.]\s*(1[3-9]|[2-9]\d)(?![\/.\d])/iu';
        $about =
            '/\b(?:'.
            AmountReader::ABOUT.
            ')\b\.?\s+(?=\d[\d.,]*\s*'.
            UnitWords::ANY.
            '(?!\p{L}))|(?<=\p{L})\s+approx(?:imately|\.)?(?=\s*(?:[,;]|$))/iu';

        // "Olive 2 bottles 750 mL each", "beeswax blocks 5 x 28 g": so many of so much.
        $packets =
            '/^(\p{L}[^,;\d(]*?),?\s+(\d{1,2})\s+(?:'.
            self::IN_A.
            '|bars?|blocks?|slabs?),?\s+(?:of\s+|at\s+)?('.
            self::MEASURE.
            ')(?:\s+each)?(?=[\s,;]|$)/iu';
        $times =
            '/(?<=\p{L})(?<!tins)(?<!jars)(?<!bottles)(?<!pots)(?<!tubes)\s+(?=\d{1,3}\s*[x×]\s*'.self::MEASURE.'\s*(?:[,;]|$))/iu';

        // "About 600 mL left in a 1 L bottle", "use by end of 2027", "cold pressed 2 x 1 L".
        $left = '/('.self::MEASURE.')\s+left\s+in\s+(?:an?|the)\s+(?:'.self::MEASURE.'\s+)?'.self::IN_A.'/iu';
        $end = '/\b((?:'.self::BEST_BEFORE.')\.?:?\s+)(?:the\s+)?end\s+of\s+/iu';
        $named = '/\b('.self::OF_ITS_NAME.')\s+(?=(?:\d+\s*[x×]\s*)?'.self::MEASURE.'(?:\s*[,;]|\s*$))/iu';
        $share = '(half|(?:one|an?|two|three)[\s-]+(?:third|quarter)s?|[1-9]\/[1-9]|[½¼¾⅓⅔])';
        $vessel = self::IN_A.'\b';
        $empty = '(?:\p{L}+\s+){0,3}(?:jars?|bottles?|tins?|pots?|tubes?)\b';
        $size = '('.self::MEASURE.')';
        $said = [
            // "Half a 5 L tin left", "750 mL bottle 2/3 full": of how much, and what of it is there.
            "/(?<=\\s|^){$share}\\s+(?:of\\s+)?(?:an?|the)\\s+{$size}\\s+{$vessel}(?:\\s+left)?(?=\\s*(?:[,;]|$))/iu" => '$2, $1 left',
            "/(?<=\\p{L})\\s+{$size}\\s+{$vessel},?\\s+(?:about\\s+|still\\s+)?{$share}\\s+".
            '(full|left|gone|used|empty)\b/iu' => ', $1, $2 $3',
            // "1 litre bottle cost £2.50 best before 12/2026": a price stands by itself.
            '/,?\s+(?:costs?|paid|price:?)\s+(\p{Sc}?\s*\d{1,6}(?:[.,]\d{1,2})?'.
            '(?:\s*\p{Sc}|\s+[A-Z]{3}\b)?)(?=\s|[,;]|$)/u' => ', $1, ',
            // What is frozen has all its water, wherever that is said.
            '/^(?:deep[\s-]+)?frozen\s+(?=\p{L})([^,;(\d]+)/iu' => '$1; frozen; ',
            '/\s+(?:in|from|out\s+of)\s+(?:the|my|our)\s+freezer\b|(?<=\p{L})\s+frozen(?=\s+\d)/iu' => '; frozen; ',
            '/(?<=\p{L})\s+(\d{1,2}\s*%(?:\s*(?:vol|abv)\b\.?)?)\s+(?='.self::MEASURE.')/iu' => ', $1, ',
            "/^((?:\\d{1,5}\\s+)?{$empty}[^,;]*?)\\s+(?:with|and|\\+)\\s+(?:\\p{L}+\\s+){0,2}".
            '(?:lids?|caps?|tops?|droppers?|pumps?)\b/iu' => '$1',
            "/^({$empty}.*\\d)\\s*(?:pcs?|pieces)\\b\\.?$/iu" => '$1',
            $before => '$1$2/20$3',
            $about => '',
            $packets => '$2 x $3 $1,',
            $times => ', ',
            $left => '$1 left',
            $end => '$1',
            $named => '$1, ',
            '/(?<=\d)\s+(?=[½¼¾⅓⅔])/u' => '',
        ];

        return preg_replace(array_keys($said), $said, $line) ?? $line;
    }

    /**
     * "Jojoba 100 mL opened 3 Nov best before 06/2027", "comfrey root 200 g organic £6.20": what stands behind the amount with no
     * comma is of its own.
     *
     * @return list<string>
     */
    private function behindTheAmount(string $piece): array
    {
        $more =
            '(?:'.
            self::BEST_BEFORE.
            '|opened|unopened|sealed|bought|'.
            self::GATHERED.
            '|made|from|organic|lot|batch|home[\s-]?grown|wild|'.
            'not|never|no|(?<!not )for(?=\s+\p{L})|dried(?=\s+\d)|'.
            'natural|whole|sweet|aluminium|pellets|pastilles|blocks?|chips)\b|\p{Sc}|@';
        if (preg_match('/^(\s*\p{L}.*?\s'.self::MEASURE.")\\s+((?:{$more}).*)$/iu", $piece, $m) !== 1) {
            return [$piece];
        }
        // Each of these begins another, and a price stands behind any.
        $apart = preg_split("/\\s+(?=(?:{$more})\\s*\\S)|(?<=organic|grown|wild)\\s+/iu", $m[2]) ?: [$m[2]];

        return [$m[1], ...$apart];
    }

    /**
     * "Two bags of linden, 100 g each" is 2 x 100 g of linden, and so is "2 bags of 100 g linden".
     *
     * @param  list<string>  $pieces
     * @return list<string>
     */
    private function packed(array $pieces): array
    {
        $packets = '/^(\d{1,3})\s+('.self::IN_A.')\s+of\s+(.+)$/iu';
        if ($pieces === [] || preg_match($packets, Counts::inFigures($pieces[0]), $m) !== 1) {
            return $pieces;
        }
        foreach ($pieces as $at => $piece) {
            if (preg_match('/^(.+?)\s+each$/iu', $piece, $each) === 1 && $this->words->amounts->reading($each[1]) !== null) {
                unset($pieces[$at]);
                $pieces[0] = "{$m[1]} x {$each[1]} {$m[3]}";

                return array_values($pieces);
            }
        }
        [$amount, , $rest] = $this->words->amounts->amount($m[3]);
        if ($amount !== null && $rest !== '') {
            $pieces[0] = "{$m[1]} x {$m[3]}";
        } elseif ($amount === null) {
            // How much is in each is not said: that is asked, and how many there are is noted.
            $many = preg_replace('/\s+of\s+'.preg_quote($m[3], '/').'$/u', '', $pieces[0]) ?? "{$m[1]} {$m[2]}";
            [$pieces[0], $pieces[]] = [$m[3], $many];
        }

        return $pieces;
    }
}
