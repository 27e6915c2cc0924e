<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\Names;
use Kettle\Measure\Figures;
use Kettle\Measure\UnitWords;
use Kettle\Recipe\Kitchen;

/**
 * A whole wish in one sentence, as somebody would say it: "a pint of calendula and yarrow in olive, slow cooker, for a
 * salve, by 12 December". Each word that is known is taken out of it; what is left over is said, and nothing is made of it.
 */
final class WishSentence
{
    private const COUNTED = '(?:'.SaidAmount::COUNTED.'|pods?|leaves)';

    private const MOST_UNREAD = 12;

    /** How oil comes to the herb: "pour 240 ml of olive over it" is so much olive. */
    private const POURED =
        '/\b(?:pour(?:ed)?|top(?:ped)?(?:\s+it)?\s+up\s+with)(?:\s+(?:in|on|over))?(?=\s+(?:about\s+)?\d)|'.
        '\b(?:over|onto|on\s+top\s+of)\s+(?:it|them|the\s+(?:herbs?|flowers?|leaves|roots?))\b/iu';

    /** What people say for what an oil is to be without, or for whom. */
    private const HEEDS = [
        'nuts' => '(?:without|no)\s+(?:any\s+)?nuts?\b|nut[\s-]*free',
        'bee' => '(?:without|no)\s+(?:any\s+)?(?:bees?wax|honey|bee\s+products?|bees?)\b',
        'food' => '(?:of\s+)?food\s+only|only\s+food\b',
        'child' => '(?:for|on)\s+(?:(?:a|the|my|our|his|her)\s+)?'.
            ForWhom::CHILD.
            '|(?:for|on)\s+'.
            ForWhom::BY_AGE.
            '|\bbab(?:y|ies)(?=\s+(?:massage\s+|skin\s+)?oil\b)',
        'giving' => '(?:to|for)\s+giv(?:e|ing)(?:\s+away)?\b|as\s+(?:a\s+)?(?:gifts?|presents?)\b|(?:birthday\s+)?(?:gifts?|presents?)\b',
    ];

    private readonly RecipeWords $words;

    private readonly SaidPieces $pieces;

    private readonly SaidOils $oils;

    private readonly SaidInFull $inFull;

    private Remainder $left;

    /** @var list<string> what is told of words that were not taken */
    private array $asides = [];

    private readonly SaidAmount $amount;

    private readonly SaidWay $way;

    public function __construct(private readonly Cupboard $cupboard, Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->pieces = new SaidPieces($cupboard, $this->words);
        $this->oils = new SaidOils($cupboard, $this->words, $this->pieces);
        $this->inFull = new SaidInFull($this->words, $this->oils);
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
        $text = SaidAmount::plainJars(
            (new AmountTwice($this->words))->once(Names::withoutPoints(UnitWords::plain(rtrim(Figures::ascii($text), ". \t\n")))),
        );
        $text = WrittenShort::ofWish(WayWords::outOfTheSun(WrittenShort::inWords($text)));
        $denied = SaidDenied::in($text);
        $text = $denied->left;
        // "For the market: calendula 20 g" is of the calendula; "1 cup of olive over 30 g of thyme" is of both.
        $text = preg_replace('/(\bfor\s[^:;,.]*):\s+(?=.*\p{L}{3})/iu', '$1; ', $text) ?? $text;
        $text = preg_replace('/\bover\s+(?=\d[\d.\/]*\s*'.SaidAmount::MEASURES.')/iu', ', ', $text) ?? $text;
        // "Rosemary 3 sprigs 250 ml olive": what is counted has no more to its amount.
        $text =
            preg_replace('/(\d\s+'.self::COUNTED.')\s+(?=\d[\d.\/]*\s*'.SaidAmount::MEASURES.'\s+\p{L})/iu', '$1, ', $text) ??
            $text;
        $asked = $this->words->amounts->asked($text);
        $text = str_replace(array_keys($asked), ' ', $text);
        $this->left = new Remainder((new OfEach($this->cupboard))->apart($text, ', '));
        $this->asides = [];
        // Before its numbers are: "half a jar" is no half.
        $byJar = $this->amount->byJar($this->left);
        // So is what a house calls a school of its own: "ten days" is no ten days.
        $own = $this->way->ownSchool($this->left);
        $this->amount->inFigures($this->left);
        $this->left->take('enough');
        $this->left->take('to\s+cover(?:\s+(?:it|them))?');
        $this->left->take(SaidAmount::TO_THE_BRIM);
        $this->left->text = preg_replace(self::POURED, ' ', $this->left->text) ?? $this->left->text;
        // Before its days: one who is six months old is no jar that has stood so long.
        $heeds = $this->heeds();
        // So is how long it is kept.
        $kept = SaidKept::in($this->left);
        $ratio = new SaidRatio($this->words, $this->oils);
        $each = $ratio->toEach($this->left);
        $this->left->text = $this->inFull->of($this->left->text);
        $basis = SaidBasis::in($this->left);
        $ofAll = SaidOfAll::in($this->left, $this->cupboard, $this->words);
        $parts = $this->left->take(
            '\d+(?:\.\d+)?\s+parts?\s+(?:of\s+)?(?:dried\s+)?(?:herbs?|flowers?|petals?|leaves|roots?)'.
                '(?:\s+to\s+|\s*,\s*(?:and\s+)?|\s+and\s+)\d+(?:\.\d+)?(?:\s+parts?)?\s+(?:of\s+)?oil|'.
                '\d+(?:\.\d+)?\s+parts?\s+to\s+\d+(?:\.\d+)?\s+parts?',
        );
        $when = new SaidWhen($this->kitchen, $this->left);
        $wish = [...$byJar, ...$when->read(), ...$heeds, ...$this->practice()];
        array_push($this->asides, ...$when->told);
        $wish += $each ?? $ratio->in($this->left, $parts[0] ?? null);
        $wish += $basis->basis === null ? [] : ['basis' => $basis->basis];
        preg_match('/\bparts?\b/iu', $text) === 1 && $this->left->take('by\s+(?:weight|volume)');
        $noJar = $this->amount->jarOfNoSize($this->left);
        $noJar === null || ($this->asides[] = SaidAmount::noJar($noJar));
        $wish += $this->amount->howMuch($this->left);
        ['way' => $way, 'guesses' => $guesses] = $this->way->in($this->left, $own);
        $wish += $way;
        $guesses = [...$guesses, ...array_values($asked), ...$this->inFull->told, ...$denied->told, ...ForQualified::in($text)];
        if ($parts !== null) {
            $guesses[] = sprintf('“%s” is taken as parts by volume.', $parts[0]);
        }
        $purpose = $this->purpose();
        $wish += $purpose;
        ['wish' => $cold, 'told' => $told] = $kept->of($purpose['purpose'] ?? null, $this->left);
        $wish += $cold;
        array_push($guesses, ...$told);
        $this->left->text = preg_replace('/\bthen\b/iu', ' ', $this->left->text) ?? $this->left->text;
        $oils = $this->oils->in($this->left);
        $herbs = new SaidHerbs($this->cupboard, $this->words, $this->pieces, $this->oils, $oils['oils'] !== []);
        $herbs->read($this->left);
        array_push($herbs->unread, ...array_map(strval(...), array_keys($asked)), ...$denied->unread);
        // "... and a cup of olive oil": with no oil in which, one that is named stands for it.
        $poured = (new OilsPoured($this->cupboard, $this->words))->together($oils['oils'] ?: $herbs->oils);
        if ($herbs->herbs === [] && $poured['oils'] === []) {
            throw RecipeException::nothingWished();
        }
        $byParts = isset($wish['ratio']) ? null : $ratio->ofParts($herbs->herbs, $poured['oils'], $herbs->oilParts, $text);
        ['herbs' => $all, 'ratio' => $ratioOfAll] = $ofAll->of($basis->statesOf($herbs->herbs));
        $inOils = $poured['oils'] ?: PastedWish::ANY_OIL;
        $wish = ['herbs' => $all, 'oils' => $inOils] + $wish;
        $wish += $ratioOfAll === null ? [] : ['ratio' => $ratioOfAll];
        if ($byParts !== null) {
            $wish['ratio'] = $byParts;
        }
        // What herb and oil come to is said by the two of them.
        if ($ofAll->isWhole()) {
            unset($wish['ratio']);
        }
        $amount = $oils['amount'] ?? ($poured['amount'] ?? $ofAll->oil);
        if ($amount !== null && ! isset($wish['finished'])) {
            $wish['oil_amount'] = $amount;
        } elseif ($amount !== null) {
            $herbs->unread[] = $amount;
        } elseif ($herbs->loose !== null && ! isset($wish['finished'])) {
            $wish['oil_amount'] = $herbs->loose;
            $guesses[] = sprintf('“%s” is taken as how much oil there is.', $herbs->loose);
        }
        if ($herbs->loose !== null && ($amount !== null || isset($wish['finished']))) {
            $herbs->unread[] = $herbs->loose;
        }
        $guesses = [
            ...$guesses,
            ...$this->behindAnOil($herbs->byItself, $text),
            ...$herbs->guesses,
            ...$ofAll->told,
            ...$oils['guesses'],
            ...$poured['guesses'],
        ];
        if ($herbs->herbs === []) {
            $guesses[] = 'Which herb is not understood. Write it otherwise, or choose it in the sentence.';
            $wish['herbs'] = PastedWish::ANY_HERB;
        }

        if (isset($wish['begun'])) {
            ['herbs' => $wish['herbs'], 'guesses' => $states] = $this->asTheyWent($herbs->herbs === [] ? $wish['herbs'] : $all);
            $guesses = [...$guesses, ...$states];
        }
        $unread = array_slice(
            [...$noJar === null ? [] : [$noJar], ...$herbs->unread, ...$ofAll->unread, ...$oils['unread'], ...$poured['unread']],
            0,
            self::MOST_UNREAD,
        );

        return [
            'wish' => $wish,
            'unread' => $unread,
            'guesses' => [
                ...$ratio->told,
                ...$this->asides,
                ...$guesses,
                ...(new MeantNames($this->cupboard))->of(array_values(array_diff($unread, $denied->unread)), $inOils),
            ],
        ];
    }

    /**
     * "Arnica 1:10 in sunflower, 500 g": by itself behind the oil it may be of either.
     *
     * @param  list<string>  $amounts that were taken for the herb's
     * @return list<string> what is told of them
     */
    private function behindAnOil(array $amounts, string $text): array
    {
        $told = [];
        foreach ($amounts as $typed) {
            $behind = '/\bin\s+((?:[\p{L}-]+\s+){0,2}[\p{L}-]+)\s*[,;]\s*'.preg_quote($typed, '/').'/iu';
            if (preg_match($behind, $text, $m) === 1 && $this->oils->isOil($m[1])) {
                $told[] = sprintf('“%s” is taken as how much herb there is.', $typed);
            }
        }

        return $told;
    }

    /**
     * Herbs of a jar that stands: nobody can choose any more whether they were dried. What is not said is marked, and of a plant
     * whose oil spoils while its water is in it the worse is taken.
     *
     * @param  list<array<string, string>>  $herbs
     * @return array{herbs: list<array<string, string>>, guesses: list<string>}
     */
    private function asTheyWent(array $herbs): array
    {
        $guesses = [];
        foreach ($herbs as $at => $herb) {
            $plant = isset($herb['id']) ? $this->cupboard->herb($herb['id']) : null;
            $form = $herb['form'] ?? $plant?->form;
            // A powder or a tea bag is dry by nature.
            if (isset($herb['state']) || $form === null || $this->cupboard->form($form)->waterFresh === null) {
                continue;
            }
            $state = $plant?->isWatery() === true ? 'fresh' : 'dried';
            $herbs[$at]['state'] = $state;
            $guesses[] = sprintf(
                'Whether the %s was dried is not said: %s is a guess. Write “%s” before it if it was.',
                $plant->name ?? $herb['name'],
                $state,
                $state === 'fresh' ? 'dried' : 'fresh',
            );
        }

        return ['herbs' => $herbs, 'guesses' => $guesses];
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
        $said += $this->left->take('(?:and\s+|then\s+)*strain(?:ed)?\s+twice') === null ? [] : ['strained' => 'twice'];
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
    private function purpose(): array
    {
        $for =
            '(?:for|to)\s+(?:a|an|the|my|our|some)?\s*(?:(?:firm|soft|dry|itchy|sore|tired|aching|stiff)\s+)?((?:salves?|balms?|'.
            'ointments?|hair|scalp|beard|face|facial|skin|body|massage|muscles?|joints?|perfumes?|eat|cook\s+with|pantry|larder|'.
            RecipeWords::KITCHEN.
            ')(?:\s+oil)?)';
        $m = $this->left->take($for);
        // "Bay in olive, 250 mL, kitchen".
        $m ??= $this->left->take('(?<=[,;])\s*(kitchen|cooking|salads?|hair|face|massage|perfume|skin|body)(?:\s+use)?(?=\s*(?:[,;.]|$))');
        $is = fn (string $said): string => $this->words->purpose($said) ?? 'kitchen';
        $purpose = $m === null ? null : $is($m[1]);
        // "Garlic confit for the pantry" says it twice.
        $again = $m === null ? null : $this->left->take($for);
        if ($again !== null && $is($again[1]) !== $purpose) {
            $this->left->putBack($again[0]);
        }

        return $purpose === null ? [] : ['purpose' => $purpose];
    }
}
