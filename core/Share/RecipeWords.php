<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountRefused;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;

/** What the words of a written recipe mean: amounts, herbs, oils, forms, states and ways. */
final readonly class RecipeWords
{
    /** What people call a form, the first that is found. */
    private const FORMS = [
        'powder' => '/\b(powder(ed)?|ground)\b/i', 'tea-bag' => '/\btea\s*-?bags?\b/i', 'bud' => '/\bbuds?\b/i', 'root' => '/\b(roots?|rhizomes?)\b/i',
        'seed-berry' => '/\b(seeds?|berr(y|ies)|hips?)\b/i', 'twig' => '/\b(bark|twigs?|stems?|sticks?)\b/i', 'thick-leaf' => '/\b(needles?|tips|peels?|zest)\b/i',
        'flower-heads' => '/\b(flowers?|petals?|blossoms?|heads?)\b/i', 'thin-leaf' => '/\b(leaf|leaves|herbs?)\b/i',
    ];

    private const METHODS = [
        'slow-cooker' => '/\bslow[\s-]*cook/i', 'double-boiler' => '/\bdouble[\s-]*boiler|bain[\s-]*marie/i', 'solar' => '/\b(sun|sunny|solar|window\s*sill)\b/i',
        'incubator' => '/\byogh?urt/i', 'water-bath' => '/\bwater[\s-]*bath/i', 'poured-hot' => '/\b(hot|warmed)\s+oil\s+over|pour(ed)?\s+hot/i',
        'cold' => '/\b(cold|dark|shelf|cupboard|steep|infuse|shake)\b/i',
    ];

    public function __construct(private Cupboard $cupboard, private Kitchen $kitchen)
    {
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

    /** dried, wilted or fresh, where it is said */
    public function state(string $text): ?string
    {
        return match (true) {
            preg_match('/\bfresh(ly)?\b/i', $text) === 1 => 'fresh',
            preg_match('/\bwilted\b/i', $text) === 1 => 'wilted',
            preg_match('/\b(dried|dry)\b/i', $text) === 1 => 'dried',
            default => null,
        };
    }

    /** @return list<string> ids of the methods a line speaks of; the cold shelf, which any words of waiting mean, last */
    public function methods(string $line): array
    {
        return array_keys(array_filter(self::METHODS, fn (string $pattern) => preg_match($pattern, $line) === 1));
    }

    /**
     * The amount a line begins with, as written, what comes after it, and one beside it in brackets.
     *
     * @return array{?Amount, string, string, ?Amount}
     */
    public function amount(string $line): array
    {
        $number = '[\d½¼¾⅓⅔⅛⅜⅝⅞][\d\s.,\/½¼¾⅓⅔⅛⅜⅝⅞⁄-]*(?:\s*to\s*\d[\d.,\/]*)?';
        if (preg_match("/^(?:about |approx\.? |ca\.? )?({$number})\s*((?:fl\.?\s*oz\.?|[a-zA-Z]+\.?))?\s*(.*)$/u", $line, $m) !== 1) {
            return [null, '', $line, null];
        }
        $quantity = trim($m[1]);
        foreach ([[$quantity.' '.$m[2], $m[3]], [$quantity, trim($m[2].' '.$m[3])]] as $try => [$typed, $rest]) {
            if ($try === 0 && $m[2] === '') {
                continue;
            }
            $read = $this->reading($typed);
            if ($read !== null) {
                [$rest, $aside] = $this->aside($rest);

                return [$read, trim($typed), trim(preg_replace('/^of\s+/i', '', $rest) ?? ''), $aside];
            }
        }

        return [null, '', $line, null];
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
            } catch (AmountRefused) {
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

    /** @return array{id: string, name: string, guess: bool}|null */
    public function oil(string $rest): ?array
    {
        if (preg_match('/\bessential\b/i', $rest) === 1) {
            return null;
        }
        $found = null;
        foreach ($this->cupboard->carriers() as $carrier) {
            foreach ([$carrier->name, ...$this->shortNames($carrier->name)] as $name) {
                if (preg_match('/\b'.preg_quote($name, '/').'\b/i', $rest) === 1 && mb_strlen($name) > mb_strlen($found['by'] ?? '')) {
                    $found = ['id' => $carrier->id, 'name' => $carrier->name, 'by' => $name];
                }
            }
        }
        $isOil = preg_match('/\boils?\b|\bjojoba\b|\bshea\b|\blard\b|\b(cocoa|mango)\s+butter\b/i', $rest) === 1;
        if ($found !== null && $isOil) {
            return ['id' => $found['id'], 'name' => $found['name'], 'guess' => false];
        }
        if (! $isOil) {
            return null;
        }

        return ['id' => 'olive', 'name' => 'olive oil', 'guess' => true];
    }

    /** @return list<string> what an oil is called for short: "olive", "coconut" */
    private function shortNames(string $name): array
    {
        $short = trim(preg_replace('/\s*(oil|butter)?(,.*)?$/', '', $name) ?? '');

        return $short === '' || in_array($short, ['lard'], true) ? [] : [$short.' oil', $short];
    }

    /** @return array{id: string, name: string}|null */
    public function knownHerb(string $text): ?array
    {
        $best = null;
        $plain = mb_strtolower(str_replace(['’', "'"], '', $text));
        foreach ($this->cupboard->herbs() as $herb) {
            $full = mb_strtolower(str_replace(['’', "'"], '', $herb->name));
            $first = explode(' ', $full)[0];
            foreach ([$full, mb_strtolower($herb->latin), in_array($first, ['sweet', 'sea', 'st', 'lemon', 'black', 'red', 'rose', 'self-heal'], true) ? $full : $first] as $name) {
                if ($name !== '' && preg_match('/\b'.preg_quote($name, '/').'(e?s)?\b/u', $plain) === 1 && mb_strlen($name) > ($best['length'] ?? 0)) {
                    $best = ['id' => $herb->id, 'name' => $herb->name, 'length' => mb_strlen($name)];
                }
            }
        }

        return $best === null ? null : ['id' => $best['id'], 'name' => $best['name']];
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

        return preg_match('/\d|[½¼¾⅓⅔]/u', $line) !== 1 && mb_strlen($line) <= 80 && ! $this->isMethod($line);
    }

    /** @return list<string> */
    public function split(string $text): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        // "1 cup oil, 3 tbsp flowers": a comma or an "and" before an amount begins another line.
        $text = preg_replace('/[,;]\s*(?:and\s+)?(?=[\d½¼¾⅓⅔])|\s+(?:and|with|plus)\s+(?=[\d½¼¾⅓⅔]\S*\s*\S*\s+[a-z])/iu', "\n", $text) ?? $text;
        $lines = [];
        foreach (explode("\n", $text) as $line) {
            $line = trim(preg_replace('/^\s*(?:[-*•·▢☐]|\d{1,2}[.)]\s)\s*/u', '', $line) ?? '');
            if ($line !== '' && preg_match('/^(ingredients?|method|directions|instructions|steps?|you will need)\s*:?$/i', $line) !== 1) {
                $lines[] = mb_substr($line, 0, 300);
            }
        }

        return array_slice($lines, 0, 200);
    }
}
