<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/** A piece of a lid's line that is jars, bottles or tins, and so many of them: "24 x 30 mL tins", "pint jars". */
final readonly class LotVessels
{
    public const SIZE = '\d[\d.]*\s*(?:'.UnitWords::METRIC_VOLUME.'|'.UnitWords::FLUID_OUNCES.'|'.UnitWords::OUNCES.')';

    /** What is said of jars and bottles, and is no size. */
    private const SAID_OF = 'glass|amber|dark|brown|blue|clear|empty|new|clean|dropper|pump';

    /** "tins" and what else a product is filled into, and what each of them holds. */
    private const TINS =
        '/^(\d{1,5})\s*(?:x\s*)?(?:('.
        self::SIZE.
        ')\s+(?:tins?|pots?|tubes?)|(?:tins?|pots?|tubes?)(?:\s+of)?\s+('.
        self::SIZE.
        '))$/iu';

    public function __construct(private RecipeWords $words, private Kitchen $kitchen) {}

    /** A whole line with how many there are first: "glass bottles 100 mL, 20" are twenty of them, and so are "20 glass bottles, 100 mL". */
    public static function manyFirst(string $line): string
    {
        $vessels = '(?:(?:'.self::SAID_OF.'|tin|jam|honey|small)\s+)*(?<vessel>jars?|bottles?|tins?|pots?)';
        [$size, $many] = ['(?<size>'.self::SIZE.')', '(?<many>\d{1,5})'];
        foreach (
            [
                "{$vessels},?\\s+{$size}(?:\\s*[,x×–-]\\s*{$many})?",
                "{$vessels},?\\s+{$size}\\s*\\(\\s*{$many}\\s*\\)",
                // Whatever else is said of them, so many of a size are vessels.
                "(?:[\\p{L}-]+\\s+){0,2}?{$vessels},?\\s+{$size}\\s*[,x×–-]\\s*{$many}",
                "{$vessels},?\\s+{$many}\\s*[,x×]\\s*{$size}",
                "{$many}\\s+{$vessels}\\s*[,(]?\\s*{$size}\\)?",
            ] as $said
        ) {
            $line =
                preg_replace_callback(
                    "/^{$said}$/iu",
                    fn (array $m) => (($m['many'] ?? '') === '' ? '' : "{$m['many']} x ")."{$m['size']} {$m['vessel']}",
                    trim($line),
                ) ?? $line;
        }

        // "Pint jars 6" are six.
        return preg_replace('/^(\p{L}[^,;\d]*\b(?:jars|bottles))\s+(\d{1,4})$/iu', '$2 $1', $line) ?? $line;
    }

    /**
     * @param  \Closure(string, string, string, bool=): void  $put what is told of a field, the words, and whether it is a guess
     * @return bool whether it is vessels
     */
    public function in(string $piece, \Closure $put): bool
    {
        return $this->ofOneSize($piece, $put) || $this->tins($piece, $put);
    }

    /**
     * So many jars or bottles of one size.
     *
     * @param  \Closure(string, string, string, bool=): void  $put
     */
    private function ofOneSize(string $piece, \Closure $put): bool
    {
        // Of "100 mL bottle" how many there are is not said.
        $counted = preg_match('/^'.self::SIZE.'\s/iu', $piece) === 1 ? '0 '.$piece : $piece;
        $pattern = '/^(\d{1,5})\s*(?:x\s*)?(.*?)\b(jar|bottle)s?\b\s*(?:of\s+)?(.*)$/iu';
        if (preg_match($pattern, Counts::inFigures($counted), $m) !== 1) {
            return false;
        }
        $kind = mb_strtolower($m[3]);
        $bare = preg_replace('/\b(?:'.self::SAID_OF.'|mason|lidded)\b/iu', ' ', "{$m[2]} {$m[4]}");
        $size = trim(preg_replace('/\s+/u', ' ', $bare ?? '') ?? '');
        $ml = $this->words->amounts->reading($size);
        // "250 mL preserving jars": what else is said of them is no size.
        if ($ml === null && trim($m[4]) === '' && preg_match('/^('.self::SIZE.')\s+[\p{L}\s-]+$/iu', $size, $sized) === 1) {
            [$size, $ml] = [$sized[1], $this->words->amounts->reading($sized[1])];
        }
        $called = $ml !== null && $ml->kind === Kind::Volume && $kind === 'bottle' ? round($ml->value).' mL bottle' : "{$size} {$kind}";
        $jar = array_filter($this->kitchen->jarsBySize(), fn ($jar) => mb_strtolower($jar->called) === mb_strtolower($called));
        // What is in them is another thing: "3 jars of honey".
        $named = trim($m[4]) === '' && preg_match('/^\p{L}/u', $size) === 1;
        if ($size === '' || ($jar === [] && ! $named && $ml === null && $this->words->amounts->reading("1 {$size}") === null)) {
            return false;
        }
        $put('kind', $kind, $piece);
        $put('material', $jar === [] ? $called : array_values($jar)[0]->called, $size);
        $m[1] === '0' || $put('amount', $m[1], $m[1]);

        return true;
    }

    /** @param  \Closure(string, string, string, bool=): void  $put */
    private function tins(string $piece, \Closure $put): bool
    {
        $bare = preg_replace('/\s*\b(?:aluminium|aluminum|metal|small|round|screw[\s-]?top|empty|new|clean)\b/iu', '', $piece) ?? $piece;
        if (preg_match(self::TINS, Counts::inFigures(trim($bare)), $m) !== 1) {
            return false;
        }
        // The ounces of a tin are of what it holds, and what that is stays a volume.
        $size = preg_replace('/(?<=\d)\s*'.UnitWords::OUNCES.'$/iu', ' fl oz', $m[2] ?? '' ?: $m[3] ?? '') ?? '';
        $put('kind', 'tin', $piece);
        $put('amount', $m[1], $m[1]);
        $put('material', $size, $size);

        return true;
    }
}
