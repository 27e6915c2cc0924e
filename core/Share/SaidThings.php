<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;

/** Of which herbs and in which oils a typed wish is, how much of each, and what of the words says nothing that is known. */
final readonly class SaidThings
{
    /** What changes nothing, wherever it stands. */
    private const SMALL = [
        'a',
        'an',
        'the',
        'of',
        'and',
        'with',
        'in',
        'into',
        'for',
        'oil',
        'oils',
        'then',
        'infused',
        'infusion',
        'some',
        'please',
        'make',
        'jar',
        'jars',
        'on',
        'to',
        'my',
        'our',
        'it',
        'using',
        'use',
        'i',
        'want',
        'would',
        'like',
        'dried',
        'dry',
        'fresh',
        'freshly',
        'wilted',
        'herb',
        'herbs',
        'plus',
        'equal',
        'parts',
        'part',
        'organic',
        'at',
        'by',
        'be',
        'ready',
        'herbal',
        'sill',
        'window',
        'flower',
        'flowers',
        'leaf',
        'leaves',
        'root',
        'roots',
        'petals',
        'heads',
        'powder',
        'powdered',
        'cut',
        'cold-pressed',
    ];

    /** What is said of any oil, and tells no oil from another. */
    private const OF_OILS = [
        'oil',
        'oils',
        'extra',
        'virgin',
        'refined',
        'unrefined',
        'cold',
        'pressed',
        'pure',
        'light',
        'plain',
        'warm',
        'warmed',
    ];

    private Counts $counts;

    public function __construct(private Cupboard $cupboard, private RecipeWords $words)
    {
        $this->counts = new Counts($cupboard->tables());
    }

    /**
     * The oils, taken out of what is left.
     *
     * @return array{oils: list<array<string, string>>, amount: ?string, unread: list<string>}
     */
    public function oils(Remainder $left): array
    {
        $oils = $unread = [];
        $amount = null;
        // After "in" stands the oil, and up to the next comma; before it stand the herbs.
        $m = $left->take(
            'in(?:to)?\s+('.(($named = $this->inNamed($left->text)) === null ? '(?:\d[.,]\d|[^,;.])+' : preg_quote($named, '/')).')',
        );
        foreach (self::pieces($m[1] ?? '') as $piece) {
            [$read, $typed, $rest] = $this->words->amount($piece);
            if ($read !== null) {
                $amount ??= $typed;
            }
            [$parts, $rest] = self::parts($rest);
            $rest = trim(preg_replace('/^(?:the|a|an|of|some|good)\s+/iu', '', $rest) ?? $rest);
            if ($rest === '') {
                continue;
            }
            $found = $this->oil($rest);
            $carrier = $this->cupboard->carrierOrNull($found['id'] ?? '');
            $over =
                $carrier === null
                    ? ''
                    : $this->over($rest, [$carrier->name, $carrier->names->inci, ...$carrier->names->also, ...self::OF_OILS]);
            $over === '' || ($unread[] = $over);
            $oils[] =
                ($found === null || $found['id'] === '' ? ['name' => mb_substr($rest, 0, 60)] : ['id' => $found['id']]) +
                ($parts === null ? [] : ['parts' => $parts]);
        }

        return ['oils' => $oils, 'amount' => $amount, 'unread' => $unread];
    }

    /** What stands after the first "in" that an oil stands after, where there are several: "dried in the sun in olive". */
    private function inNamed(string $text): ?string
    {
        preg_match_all('/\bin(?:to)?\s+((?:\d[.,]\d|(?!\bin(?:to)?\s)[^,;.])+)/iu', $text, $all);
        foreach (count($all[1]) > 1 ? $all[1] : [] as $said) {
            if (($this->oil(trim($said))['id'] ?? '') !== '') {
                return trim($said);
            }
        }

        return null;
    }

    /**
     * The herbs, and oils that are named among them, of all that is left.
     *
     * @param  bool  $inOil whether the oil was named already
     * @return array{herbs: list<array<string, string>>, oils: list<array<string, string>>, amount: ?string, unread: list<string>}
     */
    public function herbs(Remainder $left, bool $inOil): array
    {
        $herbs = $unread = $seen = $oils = [];
        // It may stand within an amount, so nothing is parted there.
        $lies =
            preg_match('/\b(?:(?:loosely|lightly|firmly|tightly|well)[\s-]+)?(?:packed|stuffed)\b/iu', $left->text, $m) === 1
                ? $m[0]
                : null;
        $left->text = $lies === null ? $left->text : str_replace($lies, '', $left->text);
        $amount = null;
        $state = $this->words->state($left->text);
        foreach (self::pieces($left->text) as $piece) {
            [$read, $typed, $rest] = $this->words->amount(trim($piece));
            $counted = $read === null ? $this->counted($rest) : null;
            [$typed, $rest] = $counted ?? [$read === null ? '' : $typed, $rest];
            [$parts, $rest] = $typed === '' ? self::parts($rest) : [null, $rest];
            $known = $this->words->knownHerb($rest);
            $oil = $inOil || ($known !== null && preg_match('/\boil\b/iu', $rest) !== 1) ? null : $this->oilNamed($rest);
            if ($oil !== null) {
                $oils[] = ['id' => $oil];
                $amount ??= $typed === '' ? null : $typed;

                continue;
            }
            // "chilli oil, 50 g dried chillies" is one herb, and so much of it.
            $at = $known === null ? null : $seen[$known['id']] ?? null;
            if ($known !== null && $at !== null && $typed !== '' && ! isset($herbs[$at]['amount'])) {
                $mine = $this->words->state($rest);
                $herbs[$at] = [...$herbs[$at], ...$mine === null ? [] : ['state' => $mine], 'amount' => $typed];

                continue;
            }
            if ($known === null || $at !== null) {
                $over = $this->over($known === null ? $piece : $rest, []);
                $over === '' || ($unread[] = $over);

                continue;
            }
            $seen[$known['id']] = count($herbs);
            $mine = $this->words->state($rest) ?? $state;
            $herbs[] =
                ['id' => $known['id']] +
                ($mine === null ? [] : ['state' => $mine]) +
                ($typed === '' ? [] : ['amount' => $typed]) +
                ($parts === null ? [] : ['parts' => $parts]) +
                (preg_match('/\b(?:powder(?:ed)?|ground)\b/iu', $rest) === 1 ? ['form' => 'powder'] : []);
            $over = $this->over($rest, $this->namesOf($known['id']));
            $over === '' || ($unread[] = $over);
        }

        // How it lies is of the one amount there is: of several, or of none, nobody knows of which.
        $measured = array_keys(array_filter($herbs, fn (array $herb) => isset($herb['amount'])));
        if ($lies !== null && count($measured) === 1) {
            $herbs[$measured[0]]['amount'] = ($herbs[$measured[0]]['amount'] ?? '').', '.$lies;
        } elseif ($lies !== null) {
            $unread[] = $lies;
        }

        return ['herbs' => $herbs, 'oils' => $oils, 'amount' => count($oils) === 1 ? $amount : null, 'unread' => $unread];
    }

    /** @return list<string> what a comma, an "and" and the like part; a comma within a number does not */
    private static function pieces(string $text): array
    {
        $apart = '/\s*(?:(?<!\d),|,(?!\d)|;|\+|&|\.\s|\band\b|\bwith\b|\bto\b(?=\s+\d+\s+parts?\b))\s*/iu';

        return preg_split($apart, trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** @return array{id: string, name: string}|null an oil by its name, also without the word "oil" */
    private function oil(string $named): ?array
    {
        return $this->words->oil($named) ?? $this->words->oil($named.' oil');
    }

    /** @return array{?string, string} how many parts of it, where it says so, and what they are of */
    private static function parts(string $piece): array
    {
        return preg_match('/^(\d+(?:\.\d+)?)\s+parts?\s+(?:of\s+)?(.+)$/iu', trim($piece), $m) === 1 ? [$m[1], $m[2]] : [null, $piece];
    }

    /** The id of an oil that is named, and nothing else with it; null where it is none. */
    private function oilNamed(string $rest): ?string
    {
        $rest = trim(preg_replace('/^(?:the|an?|of|some|good)\s+/iu', '', trim($rest)) ?? $rest);
        $carrier = $rest === '' ? null : $this->cupboard->carrierNamed($rest) ?? $this->cupboard->carrierNamed($rest.' oil');

        return $carrier?->id;
    }

    /** @return array{string, string}|null "8 cloves" and what they are of; null where nothing is counted */
    private function counted(string $piece): ?array
    {
        $count = $this->words->count($piece);
        $known = $this->words->knownHerb($piece);
        $herb = $known === null ? null : $this->cupboard->herbOrNull($known['id']);
        $each = $count === null ? null : $this->counts->of($count[2], $herb, null, true);
        if ($each === null) {
            return null;
        }
        $end = mb_stripos($piece, $each['word']) + mb_strlen($each['word']);
        $typed = rtrim(mb_substr($piece, 0, $end)).(preg_match('/^(?:e?s)\b/iu', mb_substr($piece, $end), $s) === 1 ? $s[0] : '');

        return [$typed, trim(preg_replace('/^\s*(?:of\s+)?/iu', '', mb_substr($piece, mb_strlen($typed))) ?? '')];
    }

    /** @return list<string> */
    private function namesOf(string $herb): array
    {
        $plant = $this->cupboard->herbOrNull($herb);

        return $plant === null ? [] : [$plant->name, $plant->latin, ...$plant->also];
    }

    /**
     * Of a piece, what says nothing that is known.
     *
     * @param  list<string>  $names of what was understood in it
     */
    private function over(string $piece, array $names): string
    {
        $known = str_replace(['’', '-'], ["'", ' '], mb_strtolower(implode(' ', $names)));
        $words = preg_split('/(?:[^\p{L}\p{N}\'’.,°-]|(?<!\d),|,(?!\d))+/u', $piece, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $over = array_filter(
            $words,
            fn (string $word) => ! in_array(mb_strtolower(trim($word, '.')), self::SMALL, true) &&
                trim($word, '.-') !== '' &&
                ! str_contains($known, rtrim(str_replace(['’', '-'], ["'", ' '], mb_strtolower($word)), 's')),
        );

        return implode(' ', $over);
    }
}
