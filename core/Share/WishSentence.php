<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Material\Carrier;
use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\Names;
use Kettle\Measure\Figures;
use Kettle\Recipe\Kitchen;

/**
 * A whole wish in one sentence, as somebody would say it: "a pint of calendula and yarrow in olive, slow cooker, for a
 * salve, by 12 December". Each word that is known is taken out of it; what is left over is said, and nothing is made of it.
 */
final class WishSentence
{
    private const MOST_UNREAD = 12;

    private const MOST_MEANT = 3;

    /** What people say for what an oil is to be without, or for whom. */
    private const HEEDS = [
        'nuts' => '(?:without|no)\s+(?:any\s+)?nuts?\b|nut[\s-]*free',
        'bee' => '(?:without|no)\s+(?:any\s+)?(?:bees?wax|honey|bee\s+products?|bees?)\b',
        'food' => '(?:of\s+)?food\s+only|only\s+food\b',
        'child' => 'for\s+(?:a|the|my|our)?\s*(?:small\s+|young\s+)?(?:child(?:ren)?|toddlers?|kids?|bab(?:y|ies)|infants?)\b(?:[\'’]s\b)?',
        'giving' => '(?:to|for)\s+giv(?:e|ing)(?:\s+away)?\b|as\s+(?:a\s+)?(?:gifts?|presents?)\b',
    ];

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

    private readonly RecipeWords $words;

    private readonly Counts $counts;

    private Remainder $left;

    /** @var list<string> what is told of words that were not taken */
    private array $asides = [];

    private readonly SaidAmount $amount;

    private readonly SaidWay $way;

    public function __construct(private readonly Cupboard $cupboard, Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->counts = new Counts($cupboard->tables());
        $this->amount = new SaidAmount($kitchen, $this->words);
        $this->way = new SaidWay($methods, $kitchen, $this->words);
        $this->left = new Remainder('');
    }

    /**
     * @return array{wish: array<string, mixed>, unread: list<string>, guesses: list<string>} the wish as
     *     docs/formats/wish.schema.json, the words of which nothing was made, and what was taken for something unsaid
     *
     * @throws RecipeException when neither a herb nor an oil is in it
     */
    public function read(string $text): array
    {
        $this->left = new Remainder(Figures::ascii($text));
        $this->asides = [];
        // Before its numbers are: "half a jar" is no half.
        $byJar = $this->amount->byJar($this->left);
        // So is what a house calls a school of its own: "ten days" is no ten days.
        $own = $this->way->ownSchool($this->left);
        $this->amount->inFigures($this->left);
        $parts = $this->left->take(
            '\d+(?:\.\d+)?\s+parts?\s+(?:of\s+)?(?:dried\s+)?herbs?\s+to\s+\d+(?:\.\d+)?(?:\s+parts?)?\s+(?:of\s+)?oil',
        );
        $wish = [...$byJar, ...$this->days(), ...$this->heeds(), ...$this->practice(), ...$this->ratio($parts[0] ?? null)];
        $wish += $this->amount->howMuch($this->left);
        ['way' => $way, 'guess' => $guess] = $this->way->in($this->left, $own);
        $wish += $way;
        $guesses = $guess === null ? [] : [$guess];
        if ($parts !== null) {
            $guesses[] = sprintf('“%s” is taken as parts by volume.', $parts[0]);
        }
        $wish += $this->purpose();
        $oils = $this->oils();
        $herbs = $this->herbs($oils['oils'] !== []);
        // "... and a cup of olive oil": with no oil in which, one that is named stands for it.
        $oils['oils'] = $oils['oils'] ?: $herbs['oils'];
        $oils['amount'] ??= $herbs['amount'];
        if ($herbs['herbs'] === [] && $oils['oils'] === []) {
            throw RecipeException::nothingFound();
        }
        $wish = ['herbs' => $herbs['herbs'], 'oils' => $oils['oils'] ?: [['name' => 'oil']]] + $wish;
        if ($oils['amount'] !== null && ! isset($wish['finished'])) {
            $wish['oil_amount'] = $oils['amount'];
        }
        if ($herbs['herbs'] === []) {
            $guesses[] = 'Which herb is not understood. Choose it in the sentence.';
            $wish['herbs'] = [['name' => 'herb']];
        }

        $unread = array_slice([...$herbs['unread'], ...$oils['unread']], 0, self::MOST_UNREAD);

        return [
            'wish' => $wish,
            'unread' => $unread,
            'guesses' => [...$this->asides, ...$guesses, ...$this->meant($unread, $wish['oils'])],
        ];
    }

    /**
     * What a word that is not known may be the name of, to be chosen by whoever meant it.
     *
     * @param  list<string>  $unread
     * @param  list<array<string, string>>  $oils
     * @return list<string>
     */
    private function meant(array $unread, array $oils): array
    {
        $named = array_filter($oils, fn (array $oil) => isset($oil['name']) && $oil['name'] !== 'oil');
        if ($unread === [] && $named === []) {
            return [];
        }
        $herbs = array_map(fn (Herb $herb) => [$herb->name, ...$herb->also], $this->cupboard->herbs());
        $carriers = array_map(fn (Carrier $oil) => [$oil->name, ...$oil->names->also], $this->cupboard->carriers());
        $words = array_merge([], ...array_map(fn (string $each) => explode(' ', $each), $unread));
        $sought = [
            ...array_map(fn (string $word) => [$word, Names::nearest($word, $herbs), $this->cupboard->herb(...)], $words),
            ...array_map(fn (array $oil) => [$oil['name'], Names::nearest($oil['name'], $carriers), $this->cupboard->carrier(...)], $named),
        ];
        $says = [];
        foreach ($sought as [$word, $near, $thing]) {
            // A word of many names is the name of none.
            if ($near !== [] && count($near) <= self::MOST_MEANT) {
                $names = array_map(fn (string|int $id) => $thing((string) $id)->name, array_keys($near));
                $says[] = sprintf('“%s” may be %s: choose it in the sentence if it is.', $word, implode(' or ', $names));
            }
        }

        return $says;
    }

    /** @return array<string, string> */
    private function days(): array
    {
        $days = new SaidDay($this->kitchen->today());
        $day = SaidDay::PATTERN;
        $off = SaidDay::OFF;
        $ready = '(?:to\s+be\s+)?(?:ready|wanted|needed|done|finished)\s+';
        $by = "(?:{$ready}(?:by|before|until|for|on)\\s+|(?:by|before|until)\\s+|(?=(?:for\\s+)?christmas)(?:for\\s+)?)";
        $found = [];
        $kinds = [
            'ready_by' => ["{$by}((?:the\\s+)?{$day})|(?:{$ready})?in\\s+({$off})(?:['’]?\\s+time)?", true],
            'begun' => ["(?:begun|standing\\s+since|since|it\\s+stands\\s+since)\\s+(?:on\\s+)?({$day})", false],
            'start' => ["(?:to\\s+)?(?:begin|start)(?:ning|ing)?\\s+(?:on\\s+)?({$day})|from\\s+({$day})(?!['’]s)", true],
        ];
        foreach ($kinds as $field => [$pattern, $ahead]) {
            $m = $this->left->take($pattern);
            $said = $m[2] ?? '' ?: $m[1] ?? '';
            $read = $m === null ? null : $days->read($said, $ahead);
            if ($read !== null) {
                $found[$field] = $read;
            } elseif ($m !== null) {
                $this->left->putBack($said);
                $other = $days->otherWeekday($said, $ahead);
                $other === null || ($this->asides[] = $other);
            }
        }

        return $found;
    }

    /** @return array<string, list<string>> */
    private function heeds(): array
    {
        $heeds = array_keys(array_filter(self::HEEDS, fn (string $pattern) => $this->left->take($pattern) !== null));

        return $heeds === [] ? [] : ['heed' => $heeds];
    }

    /** @return array<string, string> */
    private function practice(): array
    {
        $said = [];
        if ($this->left->take('(?:with|and)?\s*(?:no\s+spirit|without\s+spirit(?:\s+first)?)') === null) {
            $spirit = $this->left->take('(?:moistened\s+)?with\s+(?:strong\s+)?spirit(?:\s+first)?');
            $said += $spirit === null ? [] : ['spirit' => 'yes'];
        }
        $stands = $this->left->take(
            '(?:then\s+)?(?:left\s+)?(?:to\s+)?stand(?:ing)?\s+(?:for\s+)?(\d[\d.]*\s*(?:h|hours?|hrs?))(?:\s+off\s+the\s+heat)?',
        );
        $said += $stands === null ? [] : ['stands' => $stands[1]];
        $said += $this->left->take('cooled\s+(?:uncovered|open)') === null ? [] : ['cooled' => 'uncovered'];
        $said += $this->left->take('(?:and\s+)?strained\s+twice') === null ? [] : ['strained' => 'twice'];
        $said +=
            $this->left->take('(?:and\s+)?(?:(?:left\s+)?on\s+its\s+sediment|never\s+strained|not\s+strained|unstrained)') === null
                ? []
                : ['strained' => 'never'];
        $said += match (true) {
            $this->left->take('(?:then\s+)?(?:not\s+squeezed|unsqueezed|drained)') !== null => ['way' => 'drained'],
            $this->left->take('(?:then\s+)?squeezed') !== null => ['way' => 'squeezed'],
            $this->left->take('then\s+pressed|pressed\s+out') !== null => ['way' => 'pressed'],
            default => [],
        };

        return $said;
    }

    /**
     * @param  ?string  $parts of herb and of oil, where they are told in parts
     * @return array<string, string>
     */
    private function ratio(?string $parts): array
    {
        if ($parts !== null && preg_match('/^([\d.]+)\D+([\d.]+)/', $parts, $m) === 1) {
            return ['ratio' => "{$m[1]}:{$m[2]} v/v"];
        }
        $m = $this->left->take(
            '(?:herb\s+to\s+oil\s+)?(\d+(?:\.\d+)?)\s*(?::|to)\s*(\d+(?:\.\d+)?)'.
                '(\s*(?:w\/w|w\/v|v\/v|by\s+weight))?(?!\s*(?:h|hours?|days?|weeks?|min))',
        );

        return $m === null ? [] : ['ratio' => $m[1].':'.$m[2].(isset($m[3]) && str_contains($m[3], 'weight') ? ' w/w' : $m[3] ?? '')];
    }

    /** @return array<string, string> */
    private function purpose(): array
    {
        $m = $this->left->take(
            'for\s+(?:a|the|my|our|some)?\s*(?:firm\s+|soft\s+)?((?:salves?|balms?|ointments?|hair|scalp|beard|face|facial|skin|body|'.
                'massage|muscles?|kitchen|cooking|salads?|dressings?|perfumes?)(?:\s+oil)?)',
        );
        $purpose = $m === null ? null : $this->words->purpose($m[1]) ?? 'kitchen';

        return $purpose === null ? [] : ['purpose' => $purpose];
    }

    /** @return array{oils: list<array<string, string>>, amount: ?string, unread: list<string>} */
    private function oils(): array
    {
        $oils = $unread = [];
        $amount = null;
        // After "in" stands the oil, and up to the next comma; before it stand the herbs.
        $m = $this->left->take(
            'in(?:to)?\s+('.(($named = $this->inNamed()) === null ? '(?:\d[.,]\d|[^,;.])+' : preg_quote($named, '/')).')',
        );
        $pieces =
            preg_split(
                '/\s*(?:(?<!\d),|,(?!\d)|;|\+|&|\band\b|\bwith\b|\bto\b(?=\s+\d+\s+parts?\b))\s*/iu',
                $m[1] ?? '',
                -1,
                PREG_SPLIT_NO_EMPTY,
            ) ?:
            [];
        foreach ($pieces as $piece) {
            [$read, $typed, $rest] = $this->words->amount($piece);
            if ($read !== null) {
                $amount ??= $typed;
            }
            [$parts, $rest] = self::parts($rest);
            $rest = trim(preg_replace('/^(?:the|a|an|of|some|good)\s+/iu', '', $rest) ?? $rest);
            if ($rest === '') {
                continue;
            }
            $found = $this->words->oil($rest) ?? $this->words->oil($rest.' oil');
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
    private function inNamed(): ?string
    {
        preg_match_all('/\bin(?:to)?\s+((?:\d[.,]\d|(?!\bin(?:to)?\s)[^,;.])+)/iu', $this->left->text, $all);
        foreach (count($all[1]) > 1 ? $all[1] : [] as $said) {
            $found = $this->words->oil($said) ?? $this->words->oil(trim($said).' oil');
            if (($found['id'] ?? '') !== '') {
                return trim($said);
            }
        }

        return null;
    }

    /**
     * @param  bool  $inOil whether the oil was named already
     * @return array{herbs: list<array<string, string>>, oils: list<array<string, string>>, amount: ?string, unread: list<string>}
     */
    private function herbs(bool $inOil): array
    {
        $herbs = $unread = $seen = $oils = [];
        // It may stand within an amount, so nothing is parted there.
        $lies =
            preg_match('/\b(?:(?:loosely|lightly|firmly|tightly|well)[\s-]+)?(?:packed|stuffed)\b/iu', $this->left->text, $m) === 1
                ? $m[0]
                : null;
        $this->left->text = $lies === null ? $this->left->text : str_replace($lies, '', $this->left->text);
        $amount = null;
        $pieces =
            preg_split(
                '/\s*(?:(?<!\d),|,(?!\d)|;|\+|&|\.\s|\band\b|\bwith\b|\bto\b(?=\s+\d+\s+parts?\b))\s*/iu',
                trim($this->left->text),
                -1,
                PREG_SPLIT_NO_EMPTY,
            ) ?:
            [];
        $state = $this->words->state($this->left->text);
        foreach ($pieces as $piece) {
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
