<?php

namespace App\Pages\Boil;

use App\Actions\Boil\BoilLogbook;
use App\Actions\Melt\BoiledPots;
use App\House\KitchenFactory;
use App\House\Times;
use App\Labels\LabelLayout;
use App\Models\Boil;
use App\Pages\Press\LabelOf;
use Kettle\Ask\Questions;
use Kettle\Boiling\BoilException;
use Kettle\Boiling\BoilState;
use Kettle\Boiling\FrozenBoil;
use Kettle\Boiling\Stage;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Melt\Ingredients;

/** What the label of a decoction, an extract or a cleansed oil says: what it is, of which plants, until when, what must be heeded. */
final readonly class PotLabel
{
    /** Fields in the order of their weight, and whether they are on where nobody chose. */
    public const FIELDS = [
        'title' => ['what it is', true],
        'net' => ['net amount', true],
        'best_before' => ['best before', true],
        'cautions' => ['cautions', true],
        'herb' => ['ingredients', true],
        'for' => ['what it is for', true],
        'keep' => ['how to keep it', true],
        'days' => ['days', true],
        'words' => ['your own line', true],
        'code' => ['code and 2D code', true],
    ];

    /** Good for no longer than this, it is kept in the cold. */
    private const COLD_DAYS = 31;

    public function __construct(
        private BoilLogbook $logbook,
        private BoiledPots $pots,
        private KitchenFactory $kitchens,
        private Questions $questions,
        private Times $times,
        private Cupboard $cupboard,
        private Tables $tables,
    ) {}

    /** @throws BoilException when it is not strained yet, or nothing is left */
    public function of(Boil $boil): LabelOf
    {
        $state = $this->logbook->state($boil);
        if ($state->stage !== Stage::Made) {
            throw BoilException::notMade();
        }
        $net = $this->kitchens
            ->plain()
            ->writer()
            ->plain($state->left, $boil->plan->byWeight ? Kind::Mass : Kind::Volume);

        return new LabelOf(
            self::FIELDS,
            $this->texts($boil, $state),
            $boil->label,
            [],
            $boil->plan->purpose === 'kitchen' ? 'kitchen' : 'skin',
            self::isCold($boil),
            1,
            $net,
            $net,
            $boil->version,
        );
    }

    /** @return array<string, string> by field */
    private function texts(Boil $boil, BoilState $state): array
    {
        $words = $this->kitchens->words();
        $kitchen = $this->kitchens->plain();
        $labels = $this->questions->decoction($kitchen)->labels($boil->plan->wishedHerbs(), $boil->plan->purpose);
        $says = fn (bool $must): string => implode(
            ' ',
            array_map(fn (array $each) => $words->of($each['says']), array_filter($labels, fn (array $each) => $each['must'] === $must)),
        );
        $names = LabelOf::said($boil->label, 'names', 'cook') === 'inci' ? 'inci' : 'cook';
        $herbs = array_map(
            fn (array $herb) => $names === 'inci' ? Ingredients::plant($herb['plant'])['latin'] : $herb['plant']->name,
            $this->pots->herbs($boil),
        );

        return [
            'title' => $boil->name,
            'net' => '',
            LabelLayout::MUST => $says(true),
            'best_before' => $boil->best_before === null ? '' : 'Use by '.$this->times->date($boil->best_before),
            'cautions' => $says(false),
            'herb' => 'Ingredients: '.implode(', ', [...$this->base($boil, $names), ...$herbs]),
            'for' => $boil->plan->purpose === 'kitchen' ? 'To be eaten' : 'For the skin',
            'keep' => match (true) {
                self::isCold($boil) => 'Keep in the refrigerator.',
                $boil->plan->byWeight => 'Keep cool and dark, in amber glass.',
                default => 'Keep cool and dark.',
            },
            'days' => $state->madeAt === null ? '' : 'Made '.$this->times->date($state->madeAt),
            'words' => LabelOf::said($boil->label, 'words', ''),
            'code' => $boil->code,
        ];
    }

    /** @return list<string> what is in it beside its plants */
    private function base(Boil $boil, string $names): array
    {
        $of = FrozenBoil::row($boil->kind, $this->tables)?->rowOrNull('ingredients')?->texts($names);
        if ($of !== null) {
            return $of;
        }
        $oil = $this->cupboard->carrierOrNull($boil->plan->oil());

        return $oil === null ? [] : [$names === 'inci' ? $oil->names->inci : $oil->name];
    }

    private static function isCold(Boil $boil): bool
    {
        return $boil->plan->keepsDays !== null && $boil->plan->keepsDays <= self::COLD_DAYS;
    }
}
