<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Measure\Figures;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\ByJar;
use Kettle\Recipe\Kitchen;
use Kettle\Vessel\Jar;

/** How much a typed wish is of: in which jars, how full of herb, how far covered, or what is to come out. */
final readonly class SaidAmount
{
    public const SHARE = 'quarter|third|half|two[\s-]thirds|three[\s-]quarters|[¼⅓½⅔¾]|1\/4|1\/3|1\/2|2\/3|3\/4';

    private const SHARES = [
        '¼' => 'quarter',
        '1/4' => 'quarter',
        '⅓' => 'third',
        '1/3' => 'third',
        '½' => 'half',
        '1/2' => 'half',
        '⅔' => 'two-thirds',
        '2/3' => 'two-thirds',
        '¾' => 'three-quarters',
        '3/4' => 'three-quarters',
    ];

    /** How near the brim of a jar comes to the size it is called by, of that: common practice, no source. */
    private const LEAST_OF_SIZE = 0.97;

    private const MOST_OF_SIZE = 1.12;

    /** No range goes from one to so many times that: common practice, no source. */
    private const WIDEST = 3;

    /** What an amount of a herb or an oil is in, so that "2 to 3 tablespoons" is no ratio. */
    public const MEASURES = '(?:'.UnitWords::ANY.'|drops?|'.self::COUNTED.'|jars?|bottles?|tins?)\b';

    /** What is counted and has a weight of its own. */
    public const COUNTED = 'handfuls?|sprigs?|heads?|cloves?|bunch(?:es)?';

    /** Where a jar is full of oil. */
    public const TO_THE_BRIM = '(?:(?:and|with)\s+)?(?:filled\s+|up\s+)?to\s+(?:the\s+)?(?:very\s+)?(?:brim|top|rim)';

    private const UNITS = UnitWords::METRIC_VOLUME.'|'.UnitWords::FLUID_OUNCES.'|oz';

    private const JARS_CALLED = UnitWords::PINTS.'|'.UnitWords::CUPS.'|ounces?';

    /** What a jar is besides its size, of which nothing is reckoned. */
    private const KINDS_OF_JAR =
        'clean|dry|dried|empty|sterili[sz]ed|glass|mason|canning|preserving|storage|lidded|clear|amber|brown|blue|green|dark|'.
        'clip[\s-]?top|screw[\s-]?top|wide[\s-]?(?:mouth(?:ed)?|necked)';

    public function __construct(private Kitchen $kitchen, private RecipeWords $words) {}

    /** A jar by its size alone: "a clean 16 oz mason jar", "2 jars (500 mL)", "2 jars of calendula, each 500 mL". */
    public static function plainJars(string $text): string
    {
        $size = '\d[\d.\/]*\s*(?:'.self::UNITS.')';
        $each = "(?:each\\s+(?:of\\s+|holding\\s+)?({$size})|({$size})\\s+each)";
        $named = '(?:half|'.self::JARS_CALLED."|{$size})[\\s-]+";
        $kinds = '(?:(?:'.self::KINDS_OF_JAR.')[,\s-]\s*)+';
        $said = [
            // Behind "a", so that in "calendula, dried, pint jar" it is of the herb, or behind its size.
            "/(^|\\b(?:an?|one|two|three|four|five|six|\\d{1,2}|my|your|in|into)\\s)\\s*{$kinds}(?=(?:{$named}){0,2}jars?\\b)/iu" => '$1',
            "/({$named}){$kinds}(?=jars?\\b)/iu" => '$1',
            "/\\bjar(s?)\\s*\\(\\s*({$size})\\s*\\)/iu" => '$2 jar$1',
            "/\\bjars\\b([^.;]*?)[,;]?\\s*\\b{$each}(?![\\p{L}\\d])/iu" => '$2$3 jars$1',
        ];

        return preg_replace(array_keys($said), $said, $text) ?? $text;
    }

    /** Numbers in words become figures. */
    public function inFigures(Remainder $left): void
    {
        $dozens = ['/\bhalf\s+a\s+dozen\b/iu' => '6', '/\b(?:an?\s+|1\s+)?dozen\b/iu' => '12'];
        $left->text = preg_replace('/(?<=\d)\s+to\s+(?=\d[\d.\/]*\s*'.self::MEASURES.')/iu', '-', $left->text) ?? $left->text;
        // "300 mL to 400 mL" has the unit twice; "1 oz to 10 oz" is the one to the other.
        $twice = '/(\d[\d.]*)\s*('.UnitWords::ANY.')\s*(?:\bto\b|-|–)\s*(\d[\d.]*)(?=\s*\2(?!\p{L}))/iu';
        $left->text =
            preg_replace_callback(
                $twice,
                fn (array $m) => (float) $m[3] > self::WIDEST * (float) $m[1] ? $m[0] : "{$m[1]}-{$m[3]}",
                $left->text,
            ) ?? $left->text;
        $text = trim(Figures::inSentence($this->halfPint(preg_replace(array_keys($dozens), $dozens, $left->text) ?? $left->text)));
        // "A face oil" counts nothing.
        $left->text = ' '.(preg_match('/^an?\s+(?!couple|few)/iu', $text) === 1 ? $text : Counts::inFigures($text)).' ';
    }

    /** @return array{}|array{by_jar: array<string, string>} how full a jar is of herb, how it lies there, how far it is covered */
    public function byJar(Remainder $left): array
    {
        // "Half fill a pint jar" is one that is filled half full.
        $part = $left->take('('.self::SHARE.')[\s-]+fill(?:ed|ing)?\s+((?:[\p{L}\d\'-]+\s+){0,4}jars?)\b');
        if ($part !== null) {
            $left->text = " {$part[1]} full ; {$part[2]} {$left->text}";
        }
        $share = '(?:(?:an?|one)\s+)?('.self::SHARE.')(?:\s*way)?';
        $lies = '(loosely|packed|stuffed)\s+';
        // "In full sun" is of no jar: so full, or packed full, or full of something.
        $filled = $left->take(
            '(?:(?:enough\s+)?to\s+)?fill(?:ed)?\s+((?:[\p{L}\d\'-]+\s+){0,5}jar)\s+'.
                "(?:about\s+|up\s+to\s+|to\s+|by\s+)?{$share}(?:\\s+full|\\s+up)?(?:\\s+(?:of|with))?",
        );
        if ($filled !== null) {
            $left->text = " {$filled[1]} {$left->text}";
        }
        $full = $filled === null ? null : ['', '', $filled[2]];
        // "Enough to fill a pint jar loosely".
        $enough =
            $filled === null
                ? $left->take(
                    '(?:enough\s+)?to\s+(loosely\s+|lightly\s+|tightly\s+)?fill\s+'.
                        '((?:[\p{L}\d\'-]+\s+){0,4}jar)(?:\s+(loosely|lightly|tightly))?',
                )
                : null;
        if ($enough !== null) {
            $left->text = "{$left->text} ; {$enough[2]} ";
            $full = ['', preg_match('/tightly/iu', $enough[1].($enough[3] ?? '')) === 1 ? 'packed' : 'loosely', ''];
        }
        // "Fill my quart jar with dried plantain".
        $with = $filled === null ? $left->take('fill(?:ed)?\s+((?:[\p{L}\d\'-]+\s+){0,4}jar)(?=\s+with\b)') : null;
        if ($with !== null) {
            $left->text = " {$with[1]} {$left->text}";
            $full = ['', '', ''];
        }
        $full ??=
            $left->take("(?:filled\\s+)?(?:{$lies})?{$share}\\s+full(?:\\s+(?:of|with))?") ??
            ($left->take("(?:filled\\s+)?{$lies}()full(?:\\s+(?:of|with))?") ??
                ($left->take('()()full\s+(?:of|with)') ?? $left->take('()()(?<=\bjar\s|\bjar,\s)full')));
        $jar =
            $full === null
                ? $left->take($share.'(?:\s+of)?(?:\s+an?)?(?=\s+(?!pint|lit(?:re|er)|gallon)(?:[\p{L}\d]+\s+){0,2}jar\b)')
                : null;
        if ($full === null && $jar === null) {
            return [];
        }
        $fill = mb_strtolower(str_replace(' ', '-', $full[2] ?? ($jar[1] ?? ''))) ?: 'full';
        $fill = self::SHARES[$fill] ?? $fill;
        $lying = mb_strtolower($full[1] ?? '') ?: mb_strtolower($left->take('(packed|stuffed)(?:\s+in)?')[1] ?? '');
        $cover = $this->covers($left);

        return [
            'by_jar' => [
                'fill' => $fill,
                ...in_array($lying, ['packed', 'stuffed'], true) ? ['lying' => $lying] : [],
                ...$cover === null ? [] : ['cover' => $cover],
            ],
        ];
    }

    /** How far oil is to stand over the herb, as a wish has it: "1 in", or to the brim; null where it is not said. */
    public function covers(Remainder $left): ?string
    {
        $far = '((?:\d[\d.\/ ]*|an?\s+|half\s+an\s+)\s*(?:mm|cm|in|inch|inches))\b';
        $by = $left->take("(?:and\\s+)?covered\\s+(?:by|with)\\s+{$far}(?:\\s+of\\s+oil)?");
        $over = $by === null ? $left->take("(?:by\\s+)?{$far}\\s+(?:above|over)\\s+(?:the\\s+)?(?:herbs?|plant)") : null;
        // "Cover with sunflower oil by an inch": what it is covered with stays.
        $with = ($by ?? $over) === null ? $left->take("cover(?:ed)?\\s+(?:with\\s+)?((?:[\\p{L}'’-]+\\s+){0,4})by\\s+{$far}") : null;
        if ($with !== null) {
            $left->putBack($with[1]);
        }
        $cover = $by[1] ?? ($over[1] ?? ($with[2] ?? null));
        $brim = $left->take(self::TO_THE_BRIM);

        return $brim !== null ? ByJar::BRIM : ($cover === null ? null : trim($cover));
    }

    /** @return array<string, mixed> how much is to come out, or in which jars */
    public function howMuch(Remainder $left): array
    {
        $unit = '(?:'.UnitWords::CAPACITY.'|'.UnitWords::OUNCES.')';
        $size = "(\\d[\\d.\\/]*\\s*{$unit})";
        $bottles =
            $left->take("(\\d{1,3})\\s+(?:x\\s+)?(?:bottles?|tins?)\\s+(?:of|at)\\s+{$size}(?:\\s+each)?") ??
            ($left->take("(\\d{1,3})\\s*(?:[x×]\\s*|\\s){$size}\\s+(?:bottles?|tins?)(?:\\s+of)?") ??
                $left->take("(\\d{1,3})\\s*[x×]\\s*{$size}(?!\\s+jars?\\b)(?:\\s+of)?"));
        if ($bottles !== null) {
            return ['finished' => ['count' => $bottles[1], 'size' => $bottles[2]]] + $this->whichJar($left);
        }
        $finished = $left->take("(\\d[\\d.\\/]*\\s*{$unit})\\s+(?:of\\s+)?finished(?:\\s+oil)?");
        if ($finished !== null) {
            return ['finished' => ['amount' => $finished[1]]] + $this->whichJar($left);
        }

        return $this->jarOfSize($left) ??
            ($this->called($left, [Jar::BOWL, Jar::PAN]) ?? [...$this->comesOut($left), ...$this->jar($left)]);
    }

    /**
     * "Two 500 mL jars", "4 jars of 250 mL": the house's own of about that size; null where it has none, or none is said.
     *
     * @return array{jar: string, jars?: string}|null
     */
    private function jarOfSize(Remainder $left): ?array
    {
        $count = '(?:in\s+)?(?:(an?|one|\d{1,2})\s+(?:[x×]\s*)?)?';
        $size = '(\d[\d.\/]*)\s*('.self::UNITS.')';
        // "Two pint jars" are two of a pint; "a two pint jar" and "two-pint jars" are of two.
        $named = self::JARS_CALLED;
        $compound = "(\d[\d.\/]*|\p{L}+)-({$named}|".UnitWords::METRIC_VOLUME.'|oz)';
        $patterns = [
            "{$count}{$size}\s+jars?(?:\s+of)?",
            "{$count}jars?\s+of\s+{$size}(?:\s+of)?",
            "{$count}jars?\s+of\s+(an?|\d[\d.\/]*)\s+({$named})(?:\s+of)?",
            "{$count}{$compound}\s+jars?(?:\s+of)?",
            "(an?|1)\s+(\d[\d.\/]*)\s+({$named})\s+jar\b(?:\s+of)?",
        ];
        foreach ($patterns as $pattern) {
            $was = $left->text;
            $m = $left->take($pattern);
            $jar = $m === null ? null : $this->ofSize("{$m[2]} {$m[3]}");
            if ($m !== null && $jar !== null) {
                return ['jar' => $jar->id] + self::several($m[1]);
            }
            $left->text = $was;
        }

        return null;
    }

    /** What is told of the size of a jar that no jar has. */
    public static function noJar(string $size): string
    {
        return sprintf('No jar of “%s” is in the list: which jar it is stays open.', $size);
    }

    /** Takes the size of a jar of which there is none out, and leaves the jar: "a 5 litre jar", "a gallon jar". */
    public function jarOfNoSize(Remainder $left): ?string
    {
        $size = '(\d[\d.\/]*)\s*('.self::UNITS.'|'.self::JARS_CALLED.')';
        foreach (["{$size}(?=\s+jars?\b)", "(?<=jars\sof\s|jar\sof\s){$size}"] as $pattern) {
            $was = $left->text;
            $m = $left->take($pattern);
            // "Two gallon jars" are two of a gallon.
            $named = $m !== null && preg_match('/^(?:'.self::JARS_CALLED.')$/iu', $m[2]) === 1;
            if ($m !== null && $this->ofSize($named ? "1 {$m[2]}" : "{$m[1]} {$m[2]}") === null) {
                $count = $named ? " {$m[1]} " : ' ';
                $left->text = preg_replace('/\s*;\s*(?=jars?\b)|(?<=\bof)\s*;\s*/u', $count, $left->text) ?? $left->text;

                return $named ? $m[2] : trim($m[0]);
            }
            $left->text = $was;
        }

        return null;
    }

    /** A jar is called by what it takes up to its neck, and its brim is somewhat above that. */
    private function ofSize(string $typed): ?Jar
    {
        // The ounces of a jar are of what it holds.
        $typed = Counts::inFigures(preg_replace('/ (?:oz|ounces?)$/i', ' fl oz', $typed) ?? $typed);
        try {
            $ml = $this->kitchen->reader()->read($typed, Kind::Volume, 'mL')->value;
        } catch (RefusedException) {
            return null;
        }
        $jars = array_filter(
            $this->kitchen->jarsBySize(),
            fn (Jar $jar) => $jar->brimMl >= $ml * self::LEAST_OF_SIZE && $jar->brimMl <= $ml * self::MOST_OF_SIZE,
        );
        usort($jars, fn (Jar $a, Jar $b) => abs($a->brimMl - $ml) <=> abs($b->brimMl - $ml));

        return $jars[0] ?? null;
    }

    /**
     * "300 mL of marshmallow root oil" is what is to come out; of an oil that is bought it is not.
     *
     * @return array{}|array{finished: array{amount: string}}
     */
    private function comesOut(Remainder $left): array
    {
        $amount = '(\d[\d.\/ ]*\s*(?:'.UnitWords::METRIC_VOLUME.'|'.UnitWords::FLUID_OUNCES.'|'.UnitWords::CUPS.'))';
        if (
            preg_match("/{$amount}\\s+(?:of\\s+)?((?:[\\p{L}'’]+[\\s-]+){1,4}?)(?:infused\\s+)?oil\\b/iu", $left->text, $m) !== 1 ||
            $this->words->knownHerb($m[2]) === null ||
            ($this->words->oil($m[2].' oil')['id'] ?? '') !== ''
        ) {
            return [];
        }
        $left->take(preg_quote($m[1], '/').'(?:\s+of)?');

        return ['finished' => ['amount' => trim($m[1])]];
    }

    /** @return array{}|array{jar: string, jars?: string}|array{jars: string} by its size, or by what it is called */
    public function whichJar(Remainder $left): array
    {
        return $this->jarOfSize($left) ?? ($this->called($left, [Jar::BOWL, Jar::PAN]) ?? $this->jar($left));
    }

    /** @return array{}|array{jar: string, jars?: string}|array{jars: string} in which jars, and in how many */
    private function jar(Remainder $left): array
    {
        $called = $this->called($left, [Jar::JAR]);
        // Which jar is left open: one is chosen.
        $any = $called === null ? $left->take('(?:in\s+)?(?:(an?|one|\d{1,2})\s+)?jars?(?:\s+of)?') : null;

        return $called ?? self::several($any[1] ?? '');
    }

    /**
     * @param  list<string>  $kinds of Jar::KINDS
     * @return array{jar: string, jars?: string}|null in which vessels, by what they are called, and in how many
     */
    private function called(Remainder $left, array $kinds): ?array
    {
        $jars = [];
        foreach (array_merge(...array_map($this->kitchen->jarsBySize(...), $kinds)) as $jar) {
            foreach ([$jar->called, preg_replace('/\s+jar$/i', '', $jar->called) ?? ''] as $name) {
                $name === '' || ($jars[$name] = $jar->id);
            }
        }
        uksort($jars, fn (string $a, string $b) => mb_strlen($b) <=> mb_strlen($a));
        foreach ($jars as $name => $id) {
            // "A pint" may be so much oil; a bowl and a pan are none.
            if ($kinds === [Jar::JAR] && $this->isOfAnOil((string) $name, $left->text)) {
                continue;
            }
            // "a pint of calendula" is a jar of it; "a pint of olive oil" is so much oil.
            $m = $left->take('(?:(an?|one|\d{1,2})\s+)?'.preg_quote((string) $name, '/').'(?:s|\s+jars?)?(?:\s+of)?');
            if ($m !== null) {
                return ['jar' => $id] + self::several($m[1] ?? '');
            }
        }

        return null;
    }

    /** @return array{}|array{jars: string} where there is more than one */
    private static function several(string $count): array
    {
        return ctype_digit($count) && (int) $count > 1 ? ['jars' => $count] : [];
    }

    /** Whether "a pint" is of an oil, "a pint of olive oil", and so no jar; "a pint of calendula oil" is one. */
    private function isOfAnOil(string $measure, string $text): bool
    {
        $of = '/'.preg_quote($measure, '/').'s?\s+of\s+(?:([\p{L} -]+?)\s+)?oil\b/iu';

        // "In 2 pints olive" is of the oil too, where no herb goes by that word.
        $bare =
            '/(\bin|\bto)?\s*(?:\b(?:an?|\d{1,2})\s+)?'.
            preg_quote($measure, '/').
            's?\s+(?:of\s+)?(?:\d+\s+parts?\s+)?(?!jars?\b|of\b)(\p{L}+)/iu';
        if (
            preg_match($bare, $text, $m) === 1 &&
            ($this->words->oil($m[2].' oil')['id'] ?? '') !== '' &&
            ($m[1] !== '' || $this->words->knownHerb($m[2]) === null)
        ) {
            return true;
        }

        // "A pint of oil" is of whichever it is.
        return preg_match($of, $text, $m) === 1 && (! isset($m[1]) || ($this->words->oil($m[1].' oil')['id'] ?? '') !== '');
    }

    /** "Half a pint" of herb is the jar that is called so; of oil it is an amount. */
    private function halfPint(string $text): string
    {
        $text = preg_replace('/\bhalf[\s-]+gallon(?=s?\s+jars?\b)/iu', 'half-gallon', $text) ?? $text;
        $half = '/\bhalf[\s-]+(?:an?\s+)?pint\b/iu';
        $said = preg_replace($half, 'half-pint', $text) ?? $text;

        return $this->isOfAnOil('half-pint', $said) ? preg_replace($half, '1/2 pint', $text) ?? $text : $said;
    }
}
