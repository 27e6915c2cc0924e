<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Recipe\Kitchen;

/**
 * A whole wish in one sentence, as somebody would say it: "a pint of calendula and yarrow in olive, slow cooker, for a
 * salve, by 12 December". Each word that is known is taken out of it; what is left over is said, and nothing is made of it.
 */
final class WishSentence
{
    private const MOST_UNREAD = 12;

    /** What people say for what an oil is to be without, or for whom. */
    private const HEEDS = [
        'nuts' => '(?:without|no)\s+(?:any\s+)?nuts?\b|nut[\s-]*free',
        'bee' => '(?:without|no)\s+(?:any\s+)?(?:bees?wax|honey|bee\s+products?|bees?)\b',
        'food' => '(?:of\s+)?food\s+only|only\s+food\b',
        'child' => 'for\s+(?:a|the|my|our)?\s*(?:small\s+|young\s+)?(?:child(?:ren)?|toddlers?|kids?)\b',
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
        $this->left = new Remainder($text);
        // Before its numbers are: "half a jar" is no half.
        $byJar = $this->amount->byJar($this->left);
        $this->amount->inFigures($this->left);
        $wish = [...$byJar, ...$this->days(), ...$this->heeds(), ...$this->practice(), ...$this->ratio()];
        $wish += $this->amount->howMuch($this->left);
        ['way' => $way, 'guess' => $guess] = $this->way->in($this->left);
        $wish += $way;
        $guesses = $guess === null ? [] : [$guess];
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

        return [
            'wish' => $wish,
            'unread' => array_slice([...$herbs['unread'], ...$oils['unread']], 0, self::MOST_UNREAD),
            'guesses' => $guesses,
        ];
    }

    /** @return array<string, string> */
    private function days(): array
    {
        $days = new SaidDay($this->kitchen->today());
        $day = SaidDay::PATTERN;
        $found = [];
        $kinds = [
            'ready_by' => ["(?:(?:to\\s+be\\s+)?(?:ready|wanted|done|finished)\\s+)?(?:by|before|until)\\s+({$day})", true],
            'begun' => ["(?:begun|standing\\s+since|since|it\\s+stands\\s+since)\\s+(?:on\\s+)?({$day})", false],
            'start' => ["(?:to\\s+)?(?:begin|start)(?:ning|ing)?\\s+(?:on\\s+)?({$day})", true],
        ];
        foreach ($kinds as $field => [$pattern, $ahead]) {
            $m = $this->left->take($pattern);
            $read = $m === null ? null : $days->read($m[1], $ahead);
            if ($read !== null) {
                $found[$field] = $read;
            } elseif ($m !== null) {
                $this->left->putBack($m[1]);
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

    /** @return array<string, string> */
    private function ratio(): array
    {
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
        $m = $this->left->take('in(?:to)?\s+((?:\d\.\d|[^,;.])+)');
        $pieces = preg_split('/\s*(?:,|;|\+|&|\band\b|\bwith\b)\s*/iu', $m[1] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ($pieces as $piece) {
            [$read, $typed, $rest] = $this->words->amount($piece);
            if ($read !== null) {
                $amount ??= $typed;
            }
            $parts = preg_match('/^(\d+(?:\.\d+)?)\s+parts?\s+(?:of\s+)?(.+)$/iu', $rest, $with) === 1 ? $with[1] : null;
            $rest = trim(preg_replace('/^(?:the|a|an|of|some|good)\s+/iu', '', $with[2] ?? $rest) ?? $rest);
            $with = [];
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
        $pieces = preg_split('/\s*(?:,|;|\+|&|\.\s|\band\b|\bwith\b)\s*/iu', trim($this->left->text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $state = $this->words->state($this->left->text);
        foreach ($pieces as $piece) {
            [$read, $typed, $rest] = $this->words->amount(trim($piece));
            $counted = $read === null ? $this->counted($rest) : null;
            [$typed, $rest] = $counted ?? [$read === null ? '' : $typed, $rest];
            $known = $this->words->knownHerb($rest);
            $oil = $inOil || ($known !== null && preg_match('/\boil\b/iu', $rest) !== 1) ? null : $this->oilNamed($rest);
            if ($oil !== null) {
                $oils[] = ['id' => $oil];
                $amount ??= $typed === '' ? null : $typed;

                continue;
            }
            if ($known === null || isset($seen[$known['id']])) {
                $over = $this->over($known === null ? $piece : $rest, []);
                $over === '' || ($unread[] = $over);

                continue;
            }
            $seen[$known['id']] = true;
            $mine = $this->words->state($rest) ?? $state;
            $herbs[] =
                ['id' => $known['id']] +
                ($mine === null ? [] : ['state' => $mine]) +
                ($typed === '' ? [] : ['amount' => $typed]) +
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
        $known = str_replace('’', "'", mb_strtolower(implode(' ', $names)));
        $words = preg_split('/[^\p{L}\p{N}\'’.°-]+/u', $piece, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $over = array_filter(
            $words,
            fn (string $word) => ! in_array(mb_strtolower(trim($word, '.')), self::SMALL, true) &&
                trim($word, '.-') !== '' &&
                ! str_contains($known, rtrim(str_replace('’', "'", mb_strtolower($word)), 's')),
        );

        return implode(' ', $over);
    }
}
