<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\UnitWords;

/**
 * How much there is of a thing is listed first, and told again where it is said what is done with it: "20 g beeswax", and then
 * "melt 20 g of beeswax". It goes in once.
 */
final readonly class ToldAgain
{
    private const FIGURES = ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '½', '¼', '¾', '⅓', '⅔', '⅛', '⅜', '⅝', '⅞'];

    private const WORDS = ['half a', 'half an', 'one', 'two', 'three', 'four', 'five', 'six', 'ten', 'an', 'a'];

    /** Before what is told: "to make:". */
    private const HEAD = '/^\s*\p{L}[\p{L} ]{1,30}:\s*/u';

    /** From here on stand figures that are no amount; no text has these letters of its own. */
    private const HIDDEN = 0xE100;

    private const HIDDEN_WORD = 0xE140;

    /** What is put in once more. */
    private const MORE = '/\b(?:another|further|additional|extra|more|again|fresh\s+oil|second)\b/iu';

    /** Behind these stands where it goes, and not what it is. */
    private const WHERE = '/[,;:.()!]|\b(?:in|into|to|with|over|on|onto|and|until|till|for|from|then|at|together|per|first|as|by)\b/iu';

    private const MOST_WORDS = 5;

    private ProductNames $names;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words, private RecipeLines $lines)
    {
        $this->names = new ProductNames($cupboard);
    }

    /** The text, with no amount in what is told again; `asWritten` gives it back. */
    public function hidden(string $text): string
    {
        $listed = [];
        $lines = explode("\n", $text);
        foreach ($lines as $at => $line) {
            // Each sentence lists things, or tells what is done.
            $sentences = preg_split('/(?<=[\p{L})%][.!;])(\s+)/u', $line, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$line];
            foreach ($sentences as $i => $sentence) {
                $bare = trim(preg_replace(RecipeText::BULLET, '', $sentence) ?? $sentence);
                if ($bare === '' || mb_strlen($bare) > PastedRecipe::LONGEST) {
                    continue;
                }
                if ($this->lines->tells(preg_replace(self::HEAD, '', $bare) ?? $bare)) {
                    $sentences[$i] = $listed === [] ? $sentence : $this->withoutListed($sentence, $listed);
                } else {
                    $listed += array_fill_keys($this->listedIn($bare), true);
                }
            }
            $lines[$at] = implode('', $sentences);
        }

        return implode("\n", $lines);
    }

    /**
     * @param  list<array{line: string, as: string, says: string, guess: bool}>  $lines
     * @return list<array{line: string, as: string, says: string, guess: bool}> with what was hidden in them
     */
    public static function asWritten(array $lines): array
    {
        return array_map(
            fn (array $each): array => ['line' => self::shown($each['line']), 'says' => self::shown($each['says'])] + $each,
            $lines,
        );
    }

    /**
     * @param  list<string>  $of
     * @return list<string>
     */
    private static function letters(array $of, int $from = self::HIDDEN): array
    {
        return array_map(fn (int $at): string => mb_chr($from + $at), array_keys($of));
    }

    private static function shown(string $text): string
    {
        return str_replace(
            [...self::letters(self::FIGURES), ...self::letters(self::WORDS, self::HIDDEN_WORD)],
            [...self::FIGURES, ...self::WORDS],
            $text,
        );
    }

    /** @return list<string> what a line has so much of, where that is known */
    private function listedIn(string $line): array
    {
        [$amount, $typed, $rest] = $this->words->amounts->amount($this->lines->amountFirst($line));
        preg_match_all(self::amounts(), $line, $all);
        $things = [
            $amount === null ? null : $this->thing($rest, $typed),
            preg_grep('/^each\b/iu', $all[3]) === [] ? null : 'each',
            ...array_map($this->thing(...), $all[3], $all[2]),
        ];

        return array_values(array_filter($things, fn (?string $thing) => $thing !== null));
    }

    /** @param  array<string, true>  $listed */
    private function withoutListed(string $line, array $listed): string
    {
        if (preg_match(self::MORE, $line) === 1) {
            return $line;
        }

        return preg_replace_callback(
            self::amounts(),
            fn (array $m): string => $this->isListed($m[3], $m[2], $listed) ? self::hide($m[1]) : $m[0],
            $line,
        ) ?? $line;
    }

    /** How much, and with nothing taken of it by which unit and what of. */
    private static function amounts(): string
    {
        $figures = '[\d½¼¾⅓⅔⅛⅜⅝⅞]';

        return "/(?<![\\d.\\/\\p{L}])({$figures}(?:[.\\/ ]?{$figures})*|".
            implode('|', self::WORDS).
            ')(?=\s*('.
            UnitWords::ANY.
            '|drops?)\.?\s+(?:of\s+)?(?:(?:the|my|your)\s+)?(\p{L}[^\d\n]{0,80}))/iu';
    }

    private static function hide(string $typed): string
    {
        $word = array_search($typed, self::WORDS, true);

        return $word === false ? str_replace(self::FIGURES, self::letters(self::FIGURES), $typed) : mb_chr(self::HIDDEN_WORD + $word);
    }

    /**
     * Whether it was listed before, by its own name or as "the oil", "the wax" and "each".
     *
     * @param  array<string, true>  $listed
     */
    private function isListed(string $said, string $unit, array $listed): bool
    {
        $any = match (true) {
            preg_match('/^(?:(?:carrier|base)\s+)?oil\b/iu', $said) === 1 => '/^oil /',
            preg_match('/^(?:bees?)?wax\b/iu', $said) === 1 => '/^wax/',
            preg_match('/^each\b/iu', $said) === 1 => '/^each/',
            default => null,
        };

        return isset($listed[$this->thing($said, $unit) ?? '']) || ($any !== null && preg_grep($any, array_keys($listed)) !== []);
    }

    /**
     * Which thing the first words of this name, in whichever list it is; null where they name none. What is told by drops is a scent,
     * and no herb of that name.
     *
     * @param  string  $typed the unit, or what ends with it
     */
    private function thing(string $said, string $typed): ?string
    {
        $byDrops = preg_match('/\bdrops?\.?$/iu', trim($typed)) === 1;
        [$named] = preg_split(self::WHERE, $said, 2) ?: [''];
        $words = preg_split('/\s+/u', trim($named), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        for ($many = min(self::MOST_WORDS, count($words)); $many > 0; $many--) {
            $name = implode(' ', array_slice($words, 0, $many));
            $plain = mb_strtolower($name);
            $scent = $this->names->scent($plain);
            if ($byDrops) {
                if ($scent !== null) {
                    return 'scent '.$scent;
                }

                continue;
            }
            $oil = $this->words->oil($name);
            if ($oil !== null) {
                return 'oil '.($oil['id'] === '' ? mb_strtolower($oil['name']) : $oil['id']);
            }
            $wax = $this->names->wax($plain) ?? $this->cupboard->waxNamed($plain);
            if ($wax === null && ProductNames::isAnyWax($plain)) {
                return 'wax';
            }
            $herb = $wax === null ? $this->words->knownHerb($name) : null;
            $thing = match (true) {
                $wax !== null => 'wax '.$wax->id,
                $herb !== null => 'herb '.$herb['id'],
                $scent !== null => 'scent '.$scent,
                default => $this->names->addition($plain)?->id,
            };
            if ($thing !== null) {
                return $thing;
            }
        }

        return null;
    }
}
