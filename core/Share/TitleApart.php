<?php

declare(strict_types=1);

namespace Kettle\Share;

/** What a recipe is called, where the first thing that goes in, or what is done, stands behind it in the same line. */
final readonly class TitleApart
{
    /** What is made of an oil, by the last word of its name. */
    public const MADE = '(?:salve|balm|rub|butter|scrub|ointment|cream|lotion|bar|stick|mask|pomade|serum)s?';

    public function __construct(private RecipeWords $words, private RecipeLines $lines) {}

    /** "Chest rub: 100 mL arnica oil, 15 g beeswax" is a name and what goes into it; "olive oil: 250 mL" is one thing. */
    public function apart(string $text): string
    {
        $text = $this->plainly($text);
        $number = '(?:[\d½¼¾⅓⅔]|an?\s|half\s)';
        $two = "(?={$number}[^\\n,;+]*\\s\\p{L}{3}[^\\n,;+]*[,;+\\n][ \\t]*(?:and\\s+)?{$number})";
        // "Salve: beeswax 20 g, olive oil 100 g".
        $behind = '(?=\p{L}[^\n,;+:\d]*\s\(?[\d½¼¾⅓⅔][\d.]*\s*(?:\p{L}+\b|%)\)?\s*[,;+\n])';
        // "Beard balm 60 mL: ..." says how much it makes, which stands by itself.
        $size = '(?:[ \t]*\(?(\d+\s*(?:ml|g|oz))\)?)?';
        $title = "/^\\s*(\\p{L}[\\p{L}'’& -]{2,60}?){$size}\\s*(?::|[ \\t][–—-](?=[ \\t]))[ \\t]*(?:{$two}|{$behind})/iu";
        if (preg_match($title, $text, $m) !== 1) {
            return $text;
        }
        $oil = $this->words->oil($m[1]);
        $made = self::MADE;
        // Lemon balm is a plant.
        $named = preg_replace($this->words->balmsThatGrow(), ' ', $m[1]) ?? $m[1];
        $isMade = preg_match("/\\b{$made}(?:\\s+for\\b.*)?$/iu", $named) === 1;
        $isThing = $oil === null ? ! $isMade && $this->words->namesHerb($m[1]) : $oil['id'] !== '';

        return $isThing
            ? $text
            : $m[1]."\n".(($m[2] ?? '') === '' ? '' : $m[2]." in all\n").mb_substr(ltrim($text), mb_strlen(ltrim($m[0])));
    }

    /** "Pine tip oil: pick young tips in May" is a name, and what is done; "salve: 100 g oil" and "balm 30 g beeswax 60 g shea" are too. */
    private function plainly(string $text): string
    {
        $much = WrittenAmounts::MUCH;
        $title =
            '/^\s*((?:\p{L}[\p{L}\'’& -]{0,60}?\b)?(oil|salve|balm|ointment|rub|pomade)s?)'.
            "(?::[ \t]+|[ \t]+(?={$much}[ \t]+\p{L}[^\n,;]*[ \t]{$much}[ \t]+\p{L}[^\n\d]*(?:\n|$)))/iu";
        if (preg_match($title, $text, $m) !== 1) {
            return $text;
        }
        $behind = mb_substr($text, mb_strlen($m[0]));
        $isTitle =
            mb_strtolower($m[2]) === 'oil'
                ? $this->lines->isStep($behind) && $this->words->namesHerb($m[1])
                : (preg_match("/^(?:{$much}|[\d½¼¾⅓⅔]+[ \t]+parts?\\b|\p{L}[^:\n]*?[:(–-]?[ \t]*{$much})/iu", $behind) === 1 ||
                        $this->lines->isStep($behind)) &&
                    preg_match($this->words->balmsThatGrow(), $m[1]) !== 1;

        return $isTitle ? "{$m[1]}\n{$behind}" : $text;
    }
}
