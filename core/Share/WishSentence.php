<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Measure\AmountException;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;

/**
 * A whole wish in one sentence, as somebody would say it: "a pint of calendula and yarrow in olive, slow cooker, for a
 * salve, by 12 December". Each word that is known is taken out of it; what is left over is said, and nothing is made of it.
 */
final class WishSentence
{
    private const MOST_UNREAD = 12;

    /** Stands where something was taken out: what was on both sides of it does not belong together. */
    private const GAP = ' ; ';

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

    private readonly RecipeWords $words;

    private readonly Counts $counts;

    private string $left = '';

    /** @var list<string> */
    private array $guesses = [];

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->counts = new Counts($cupboard->tables());
    }

    /**
     * @return array{wish: array<string, mixed>, unread: list<string>, guesses: list<string>} the wish as
     *     docs/formats/wish.schema.json, the words of which nothing was made, and what was taken for something unsaid
     *
     * @throws RecipeException when neither a herb nor an oil is in it
     */
    public function read(string $text): array
    {
        $this->left = ' '.Counts::inFigures(trim(preg_replace('/\s+/u', ' ', $text) ?? $text)).' ';
        $this->guesses = [];
        $wish = [...$this->days(), ...$this->heeds(), ...$this->practice(), ...$this->ratio()];
        $wish += $this->howMuch();
        $wish += $this->way();
        $wish += $this->purpose();
        $oils = $this->oils();
        $herbs = $this->herbs($oils['amount']);
        if ($herbs['herbs'] === [] && $oils['oils'] === []) {
            throw RecipeException::nothingFound();
        }
        $wish = ['herbs' => $herbs['herbs'], 'oils' => $oils['oils'] ?: [['name' => 'oil']]] + $wish;
        if ($oils['amount'] !== null && ! isset($wish['finished'])) {
            $wish['oil_amount'] = $oils['amount'];
        }
        if ($herbs['herbs'] === []) {
            $this->guesses[] = 'Which herb is not understood. Choose it in the sentence.';
            $wish['herbs'] = [['name' => 'herb']];
        }

        return ['wish' => $wish, 'unread' => array_slice($herbs['unread'], 0, self::MOST_UNREAD), 'guesses' => $this->guesses];
    }

    /**
     * Takes what is like this out of what is left, the first of it only.
     *
     * @return list<string>|null
     */
    private function take(string $pattern): ?array
    {
        if (preg_match('/(?<![\p{L}\d])(?:'.$pattern.')(?![\p{L}\d])/iu', $this->left, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $this->left = substr($this->left, 0, $m[0][1]).self::GAP.substr($this->left, $m[0][1] + strlen($m[0][0]));

        return array_values(array_map(fn (array $each) => (string) $each[0], $m));
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
            $m = $this->take($pattern);
            $read = $m === null ? null : $days->read($m[1], $ahead);
            if ($read !== null) {
                $found[$field] = $read;
            } elseif ($m !== null) {
                $this->left .= self::GAP.$m[1];
            }
        }

        return $found;
    }

    /** @return array<string, list<string>> */
    private function heeds(): array
    {
        $heeds = array_keys(array_filter(self::HEEDS, fn (string $pattern) => $this->take($pattern) !== null));

        return $heeds === [] ? [] : ['heed' => $heeds];
    }

    /** @return array<string, string> */
    private function practice(): array
    {
        $said = [];
        if ($this->take('(?:with|and)?\s*(?:no\s+spirit|without\s+spirit(?:\s+first)?)') === null) {
            $spirit = $this->take('(?:moistened\s+)?with\s+(?:strong\s+)?spirit(?:\s+first)?');
            $said += $spirit === null ? [] : ['spirit' => 'yes'];
        }
        $stands = $this->take(
            '(?:then\s+)?(?:left\s+)?(?:to\s+)?stand(?:ing)?\s+(?:for\s+)?(\d[\d.]*\s*(?:h|hours?|hrs?))(?:\s+off\s+the\s+heat)?',
        );
        $said += $stands === null ? [] : ['stands' => $stands[1]];
        $said += $this->take('cooled\s+(?:uncovered|open)') === null ? [] : ['cooled' => 'uncovered'];
        $said += $this->take('(?:and\s+)?strained\s+twice') === null ? [] : ['strained' => 'twice'];
        $said += match (true) {
            $this->take('(?:then\s+)?(?:not\s+squeezed|unsqueezed|drained)') !== null => ['way' => 'drained'],
            $this->take('(?:then\s+)?squeezed') !== null => ['way' => 'squeezed'],
            $this->take('then\s+pressed|pressed\s+out') !== null => ['way' => 'pressed'],
            default => [],
        };

        return $said;
    }

    /** @return array<string, string> */
    private function ratio(): array
    {
        $m = $this->take(
            '(?:herb\s+to\s+oil\s+)?(\d+(?:\.\d+)?)\s*(?::|to)\s*(\d+(?:\.\d+)?)'.
                '(\s*(?:w\/w|w\/v|v\/v|by\s+weight))?(?!\s*(?:h|hours?|days?|weeks?|min))',
        );

        return $m === null ? [] : ['ratio' => $m[1].':'.$m[2].(isset($m[3]) && str_contains($m[3], 'weight') ? ' w/w' : $m[3] ?? '')];
    }

    /** @return array<string, mixed> how much is to come out, or in which jars */
    private function howMuch(): array
    {
        $unit = '(?:ml|l|litres?|liters?|fl\.?\s*oz|oz|cups?|pints?|quarts?)';
        $bottles = $this->take("(\\d{1,3})\\s+(?:x\\s+)?(?:bottles?|tins?)\\s+of\\s+(\\d[\\d.\\/]*\\s*{$unit})");
        if ($bottles !== null) {
            return ['finished' => ['count' => $bottles[1], 'size' => $bottles[2]]];
        }
        $finished = $this->take("(\\d[\\d.\\/]*\\s*{$unit})\\s+(?:of\\s+)?finished(?:\\s+oil)?");
        if ($finished !== null) {
            return ['finished' => ['amount' => $finished[1]]];
        }
        $jars = [];
        foreach ($this->kitchen->jarsBySize() as $jar) {
            foreach ([$jar->called, preg_replace('/\s+jar$/i', '', $jar->called) ?? ''] as $name) {
                $name === '' || ($jars[$name] = $jar->id);
            }
        }
        uksort($jars, fn (string $a, string $b) => mb_strlen($b) <=> mb_strlen($a));
        foreach ($jars as $name => $id) {
            // "a pint of calendula" is a jar of it; "a pint of olive oil" is so much oil.
            $m = $this->take(
                '(?:(an?|one|\d{1,2})\s+)?'.preg_quote((string) $name, '/').'(?:s|\s+jars?)?(?:\s+of(?!\s+[\p{L} -]*\boil))?',
            );
            if ($m !== null) {
                $count = $m[1] ?? '';

                return ['jar' => $id] + (ctype_digit($count) && (int) $count > 1 ? ['jars' => $count] : []);
            }
        }

        return [];
    }

    /** @return array<string, string> the method, its hours and its warmth */
    private function way(): array
    {
        $warmth = $this->take('(?:at\s+(?:about\s+)?)?(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*([CF])');
        $hours = $this->take(
            '(?:for\s+(?:about\s+)?)?(\d[\d.]*(?:\s*(?:-|–|to)\s*\d[\d.]*)?\s*(?:weeks?|days?|hours?|hrs?|h|minutes?|mins?))',
        );
        $way = [];
        $method = $this->method();
        if ($hours !== null) {
            $way['hours'] = $hours[1];
        }
        if ($warmth !== null) {
            $way['warmth'] = $warmth[1].' '.strtoupper($warmth[2]);
        }
        if ($method === null && $way !== []) {
            $method = $this->methods->plainest(isset($way['warmth']) || $this->hoursOf($hours[1]) < 72);
            $this->guesses[] = sprintf('By which way is not said: %s is a guess.', $method->name);
        }
        if ($method === null) {
            return [];
        }

        return ['method' => $method->id, ...$this->asASchool($method, $way)];
    }

    private function method(): ?Method
    {
        $about = '(?:(?:in|on|by)\s+(?:the|a|an)?\s*)?(?:cold\s+|dark\s+|sunny\s+)?';
        foreach ($this->methods->all() as $method) {
            if ($this->take(preg_quote($method->inSentence, '/').'|'.$about.preg_quote($method->name, '/')) !== null) {
                return $method;
            }
        }
        foreach (RecipeWords::METHODS as $id => $pattern) {
            $bare = preg_replace('/^\/|\/i$/', '', $pattern) ?? '';
            // "cold-pressed" is of an oil.
            if ($this->take($about.'(?:'.$bare.')(?![\s-]*pressed)[a-z]*') !== null) {
                return $this->methods->method($id);
            }
        }

        return null;
    }

    /**
     * Hours and warmth that a school of the method has are that school.
     *
     * @param  array<string, string>  $way
     * @return array<string, string>
     */
    private function asASchool(Method $method, array $way): array
    {
        $hours = isset($way['hours']) ? $this->hoursOf($way['hours']) : null;
        foreach ($method->variants as $school) {
            $warm = isset($way['warmth']) ? $this->words->warmth($way['warmth']) : null;
            if ($hours === $school->usualH && ($warm === null || abs($warm - (float) $school->targetC) < 0.6)) {
                return ['school' => $school->id];
            }
        }

        return $way;
    }

    private function hoursOf(string $typed): float
    {
        try {
            return $this->kitchen->reader()->read($typed, Kind::Time, 'h')->value;
        } catch (AmountException) {
            return 0.0;
        }
    }

    /** @return array<string, string> */
    private function purpose(): array
    {
        $m = $this->take(
            'for\s+(?:a|the|my|our|some)?\s*(?:firm\s+|soft\s+)?((?:salves?|balms?|ointments?|hair|scalp|beard|face|facial|skin|body|'.
                'massage|muscles?|kitchen|cooking|salads?|dressings?|perfumes?)(?:\s+oil)?)',
        );
        $purpose = $m === null ? null : $this->words->purpose($m[1]) ?? 'kitchen';

        return $purpose === null ? [] : ['purpose' => $purpose];
    }

    /** @return array{oils: list<array<string, string>>, amount: ?string} */
    private function oils(): array
    {
        $oils = [];
        $amount = null;
        // After "in" stands the oil, and up to the next comma; before it stand the herbs.
        $m = $this->take('in(?:to)?\s+([^,;.]+)');
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
            $oils[] =
                ($found === null || $found['id'] === '' ? ['name' => mb_substr($rest, 0, 60)] : ['id' => $found['id']]) +
                ($parts === null ? [] : ['parts' => $parts]);
        }

        return ['oils' => $oils, 'amount' => $amount];
    }

    /**
     * @param  ?string  $oilAmount as it was found beside the oil; one of an oil among the herbs is left there
     * @return array{herbs: list<array<string, string>>, unread: list<string>}
     */
    private function herbs(?string &$oilAmount): array
    {
        $herbs = $unread = $seen = [];
        $pieces = preg_split('/\s*(?:,|;|\+|&|\.\s|\band\b|\bwith\b)\s*/iu', trim($this->left), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $state = $this->words->state($this->left);
        foreach ($pieces as $piece) {
            [$read, $typed, $rest] = $this->words->amount(trim($piece));
            $counted = $read === null ? $this->counted($rest) : null;
            [$typed, $rest] = $counted ?? [$read === null ? '' : $typed, $rest];
            $known = $this->words->knownHerb($rest);
            if ($known === null || isset($seen[$known['id']])) {
                $over = $this->over($known === null ? $piece : $rest, '');
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
            $over = $this->over($rest, $known['id']);
            $over === '' || ($unread[] = $over);
        }

        return ['herbs' => $herbs, 'unread' => $unread];
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

    /** Of a piece, what says nothing that is known. */
    private function over(string $piece, string $herb): string
    {
        $plant = $herb === '' ? null : $this->cupboard->herbOrNull($herb);
        $known = mb_strtolower(implode(' ', [$plant->name ?? '', $plant->latin ?? '', ...$plant->also ?? []]));
        $words = preg_split('/[^\p{L}\p{N}\'’.°-]+/u', $piece, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $over = array_filter(
            $words,
            fn (string $word) => ! in_array(mb_strtolower(trim($word, '.')), self::SMALL, true) &&
                trim($word, '.-') !== '' &&
                ! str_contains($known, rtrim(mb_strtolower($word), 's')),
        );

        return implode(' ', $over);
    }
}
