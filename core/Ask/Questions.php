<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Material\MaterialException;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\Tables;
use Kettle\Material\Wilting;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\OwnSchools;
use Kettle\Recipe\OwnTold;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Recipe\Words;
use Kettle\Share\RecipeException;
use Kettle\Share\RecipeReader;
use Kettle\Share\WishSentence;
use Kettle\Stores\LotCheck;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;

/**
 * Every question the core answers, by name: a document in, a document out. `kettle reckon` and the
 * application both come this way for what is not a plan. Shapes: docs/formats.
 */
final readonly class Questions
{
    public const MODES = [
        'plan',
        'figures',
        'compare',
        'oils',
        'wilting',
        'check',
        'recipe',
        'sentence',
        'warm-hours',
        'pot',
        'bath',
        'learn',
        'sun',
        'fit',
        'diary',
        'yield',
        'bottle',
        'keep',
        'cautions',
        'faults',
        'melt',
        'mend',
        'trace',
        'own',
        'decoction',
        'long-oil',
        'level',
        'glycerin',
        'solvents',
        'done',
    ];

    private Planning $planning;

    private Schemas $asked;

    public function __construct(private Tables $tables, ?Planning $planning = null)
    {
        $this->planning = $planning ?? new Planning($tables);
        $this->asked = Schemas::shipped();
    }

    /**
     * @param  array<mixed>  $document
     * @return array<mixed>
     *
     * @throws WishException with every fault found
     */
    public function ask(string $mode, array $document, \DateTimeImmutable $now): array
    {
        if (! in_array($mode, self::MODES, true)) {
            throw WishException::one(
                '',
                'unknown',
                sprintf('There is nothing called “%s” to reckon. Choose one of: %s.', mb_substr($mode, 0, 40), implode(', ', self::MODES)),
            );
        }
        $this->asked->mode($mode, $document);
        $kitchen = KitchenReader::read(
            is_array($document['house'] ?? null) ? $document['house'] : [],
            $now,
            $this->tables,
            $this->planning->cupboard(),
        );
        try {
            return match ($mode) {
                'plan' => $this->planning->document($this->planning->plan($document, $kitchen), $kitchen),
                'figures' => $this->figures($document, $kitchen),
                'compare' => ['methods' => $this->planning->answer($this->planning->plan($document, $kitchen), $kitchen)['methods']],
                'oils' => ['oils' => $this->oils(Fields::text($document, 'purpose') ?? 'skin', $kitchen)],
                'wilting' => $this->wilting($document, $kitchen),
                'check' => $this->check($document, $kitchen),
                'recipe' => $this->recipes()
                    ->read(Fields::text($document, 'text') ?? '', $kitchen)
                    ->toArray(),
                'sentence' => $this->sentence(Fields::text($document, 'text') ?? '', $kitchen),
                'warm-hours' => (new WarmthQuestions($kitchen))->warmHours($document),
                'pot' => (new WarmthQuestions($kitchen))->pot($document),
                'bath' => (new WarmthQuestions($kitchen))->bath($document),
                'learn' => (new WarmthQuestions($kitchen))->learn($document),
                'diary' => (new DiaryQuestions($kitchen))->diary($document),
                'sun' => (new WarmthQuestions($kitchen))->sun($document),
                'fit' => (new WarmthQuestions($kitchen))->fit($document),
                'yield' => $this->press($kitchen)->yield($document),
                'bottle' => $this->press($kitchen)->bottle($document),
                'keep' => $this->press($kitchen)->keep($document),
                'cautions' => $this->press($kitchen)->cautions($document),
                'faults' => $this->press($kitchen)->faults($document),
                'melt' => (new MeltQuestions($this->planning, $this->tables, $kitchen))->melt($document),
                'mend' => (new MeltQuestions($this->planning, $this->tables, $kitchen))->mend($document),
                'trace' => (new TraceQuestions())->trace($document),
                'decoction' => $this->decoction($kitchen)->decoction($document),
                'long-oil' => $this->decoction($kitchen)->longOil($document),
                'level' => $this->pot($kitchen)->level($document),
                'glycerin' => $this->decoction($kitchen)->glycerin($document),
                'done' => $this->pot($kitchen)->done($document),
                'solvents' => $this->pot($kitchen)->solvents($document),
                'own' => $this->own(is_array($document['own'] ?? null) ? $document['own'] : [], $kitchen),
            };
        } catch (RefusedException $refused) {
            throw WishException::from($refused);
        }
    }

    /**
     * @return array{wish: array<string, mixed>, unread: list<string>, guesses: list<string>} a whole wish out of one sentence
     *
     * @throws RecipeException when neither a herb nor an oil is in it
     */
    public function sentence(string $text, Kitchen $kitchen): array
    {
        return (new WishSentence($kitchen->cupboard(), $kitchen->methods(), $kitchen))->read($text);
    }

    /**
     * What a thing of a house's own becomes, what nobody has said of it, and what would be told of it.
     *
     * @param  array<mixed>  $document
     * @return array{own: array<string, mixed>, read: list<string>, unknown: list<string>, cautions: list<array<string, string>>}
     */
    private function own(array $document, Kitchen $kitchen): array
    {
        try {
            $own = (new OwnReader($kitchen->cupboard(), custom: $kitchen->custom))->read($document);
            OwnSchools::check($own, $kitchen);
        } catch (OwnException $refused) {
            throw WishException::faults(
                array_map(fn (array $fault) => ['field' => rtrim('own.'.$fault['field'], '.')] + $fault, $refused->faults),
            );
        }

        return [
            'own' => $own->fields,
            'read' => array_map((new Words($kitchen))->of(...), OwnTold::read($own, $kitchen)),
            'unknown' => $own->unknown,
            'cautions' => OwnTold::cautions($own, $this->planning, $kitchen),
        ];
    }

    /**
     * Oils in order for a purpose, with the reasons and the fatty-acid picture.
     *
     * @return list<array{id: string, name: string, note: string, score: int, marks: array<string, float>, reasons: list<string>,
     *     allergens: list<string>, solid: bool, sets_text: string, keeps_text: string, feel: int, iodine_value: ?int,
     *     oxidisability: ?float, picture: array<string, float>|null, stock_text: ?string, price_text: ?string}>
     */
    public function oils(string $purpose, Kitchen $kitchen): array
    {
        return array_map(
            fn (array $oil) => [
                'id' => $oil['carrier']->id,
                'name' => $oil['carrier']->name,
                'note' => $oil['carrier']->note,
                'score' => (int) round($oil['score'] * 100),
                'marks' => array_map(fn (float $mark) => round($mark, 2), $oil['marks']),
                'reasons' => array_map($kitchen->inDegrees(...), $oil['reasons']),
                'allergens' => $oil['carrier']->food->allergens,
                'solid' => $oil['carrier']->setsBelowC > $kitchen->roomC,
                'sets_text' => $kitchen->warmth($oil['carrier']->setsBelowC),
                'keeps_text' => round($oil['carrier']->months->opened).' months',
                'feel' => $oil['carrier']->feel->richness,
                'iodine_value' => self::rounded($oil['carrier']->iodineValueOrPublished()),
                'oxidisability' => $oil['carrier']->oxidisability() === null ? null : round($oil['carrier']->oxidisability(), 1),
                'picture' => $oil['carrier']->fattyAcids === null
                        ? null
                        : array_map(fn (float $percent) => round($percent, 1), $oil['carrier']->fattyAcids->picture()),
                'stock_text' => $oil['stock_ml'] > 0 ? AmountWriter::plain($oil['stock_ml'], Kind::Volume) : null,
                'price_text' => $oil['price'] === null ? null : $kitchen->money($oil['price']),
            ],
            $kitchen->ranked($purpose),
        );
    }

    /**
     * A plant weighed when picked and weighed now.
     *
     * @param  array<mixed>  $document form or water, fresh, now, hours
     * @return array{verdict: 'not yet'|'ready'|'dried', says: string, water: float, figures: array<string, array<string, mixed>>}
     *
     * @throws RefusedException
     */
    public function wilting(array $document, Kitchen $kitchen): array
    {
        $reader = $kitchen->measured();
        $weight = fn (string $field): float => $reader->within(Fields::text($document, $field) ?? '', Kind::Mass, 'g', 0.1, 100_000)->value;
        $fresh = RefusedException::at('fresh', fn () => $weight('fresh'));
        $now = RefusedException::at('now', fn () => $weight('now'));
        $typed = Fields::text($document, 'hours');
        $read = fn (): float => $reader->within((string) $typed, Kind::Time, 'h', 0.05, 500)->value;
        $hours = $typed === null ? null : RefusedException::at('hours', $read);
        $water = Fields::text($document, 'water');
        $form = RefusedException::at('form', fn () => $this->planning->cupboard()->form(Fields::text($document, 'form') ?? 'thin-leaf'));
        $fraction =
            $water === null ? $form->waterFresh ?? 0.8 : RefusedException::at('water', fn () => $reader->number(rtrim($water, '% '))) / 100;
        if ($fraction < 0.05 || $fraction > 0.97) {
            throw new MaterialException('out_of_range', 'Water is between 5 and 97 per cent of a plant’s weight.', 'water');
        }
        $wilting = Wilting::weighed($fresh, $now, $fraction, $hours, $this->tables);
        $figures = [];
        foreach ($wilting->figures() as $figure) {
            $figures[$figure->id] = $this->planning->figure($figure, $kitchen);
        }

        return [
            'verdict' => $wilting->verdict,
            'says' => $wilting->says(),
            'water' => round($wilting->waterNow * 100, 1),
            'figures' => $figures,
        ];
    }

    public function press(Kitchen $kitchen): PressQuestions
    {
        return new PressQuestions($this->planning, $this->tables, $kitchen);
    }

    public function decoction(Kitchen $kitchen): DecoctionQuestions
    {
        return new DecoctionQuestions($this->planning, $this->tables, $kitchen);
    }

    public function pot(Kitchen $kitchen): PotQuestions
    {
        return new PotQuestions($this->tables, $kitchen);
    }

    public function recipes(): RecipeReader
    {
        return new RecipeReader($this->planning->methods());
    }

    /**
     * @param  array<mixed>  $document
     * @return array<string, mixed>
     */
    private function figures(array $document, Kitchen $kitchen): array
    {
        $plan = $this->planning->plan($document, $kitchen);
        $answer = $this->planning->answer($plan, $kitchen);

        return [
            'figures' => $answer['figures'],
            'stores' => $answer['stores'],
            'methods' => $answer['methods'],
            'oils' => $this->oils($plan->wish->purpose, $kitchen),
        ];
    }

    /**
     * @param  array<mixed>  $document
     * @return array<string, mixed>
     */
    private function check(array $document, Kitchen $kitchen): array
    {
        $kind = LotKind::tryFrom(Fields::text($document, 'kind') ?? '') ?? throw LotException::kind();
        $answers = is_array($document['answers'] ?? null) ? $document['answers'] : null;
        if ($answers === null) {
            return ['asks' => LotCheck::asks($kind, $this->tables)];
        }
        $check = LotCheck::of($kind, $answers, $this->tables);

        return ['verdict' => $check->verdict, 'says' => $kitchen->words()->of($check->says($kind))];
    }

    private static function rounded(?float $value): ?int
    {
        return $value === null ? null : (int) round($value);
    }
}
