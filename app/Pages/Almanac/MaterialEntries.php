<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Pages\Batch\CautionPresenter;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Almanac\AlmanacFact;
use App\Responses\Almanac\AlmanacLink;
use App\Responses\Batch\CautionView;
use Illuminate\Support\Str;
use Kettle\Caution\AcidSoak;
use Kettle\Caution\Caution;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Infusion\Methods;
use Kettle\Material\Carrier;
use Kettle\Material\Herb;
use Kettle\Material\Own;
use Kettle\Material\State;
use Kettle\Recipe\Planning;
use Kettle\Stores\LotKind;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Plants and oils in the Almanac. */
final readonly class MaterialEntries
{
    public const KINDS = ['plant', 'oil'];

    public function __construct(
        private Planning $planning,
        private Methods $methods,
        private CautionPresenter $cautions,
        private KitchenFactory $kitchens,
        private HouseLinks $links,
    ) {}

    /** @return list<AlmanacEntry> */
    public function list(string $kind): array
    {
        return match ($kind) {
            'plant' => array_map(
                fn (Herb $herb) => new AlmanacEntry(
                    'plant',
                    $herb->id,
                    Str::ucfirst($herb->name),
                    trim($herb->latin.', '.$herb->part, ', '),
                    Own::is($herb->id),
                ),
                array_values($this->planning->cupboard()->herbs()),
            ),
            'oil' => array_map(
                fn (Carrier $oil) => new AlmanacEntry(
                    'oil',
                    $oil->id,
                    Str::ucfirst($oil->name),
                    round($oil->months->opened).' months opened'.($oil->note === '' ? '' : '; '.lcfirst(rtrim($oil->note, '.'))),
                    Own::is($oil->id),
                ),
                array_values($this->planning->cupboard()->carriers()),
            ),
            default => [],
        };
    }

    /**
     * @return array{name: string, says: string, facts: list<AlmanacFact>, lines?: list<string>, cautions?: list<CautionView>,
     *     own: list<AlmanacLink>}
     *
     * @throws NotFoundHttpException
     */
    public function page(string $kind, string $key): array
    {
        $cupboard = $this->planning->cupboard();

        return $kind === 'plant'
            ? $this->plant($cupboard->herbOrNull($key) ?? throw new NotFoundHttpException())
            : $this->oil($cupboard->carrierOrNull($key) ?? throw new NotFoundHttpException());
    }

    /**
     * @return array{name: string, says: string, facts: list<AlmanacFact>, lines: list<string>, cautions: list<CautionView>,
     *     own: list<AlmanacLink>}
     */
    private function plant(Herb $herb): array
    {
        $form = $this->planning->cupboard()->form($herb->form);
        $souring = AcidSoak::partsFor($herb);
        $fact = fn (string $name, string $text, string $column) => new AlmanacFact($name, $text, $this->source('herbs', $column));
        $facts = Facts::of(
            'skin',
            ColdStorage::SHELF,
            [['plant' => $herb, 'state' => State::Dried]],
            [],
            null,
            $this->methods->method('cold'),
            'squeezed',
            lots: [['called' => $herb->name, 'food' => true, 'how' => 'gathered', 'allergens' => []]],
        );

        return [
            'name' => Str::ucfirst($herb->name),
            'says' => $herb->note,
            'facts' => [
                $fact('Latin name', $herb->latin, 'latin'),
                $fact('Part used', $herb->part, 'part'),
                $fact('Comes as', $form->name, 'form'),
                $fact('Best', $herb->best->value, 'best'),
                $fact('For the kitchen', $herb->kitchen ? 'known as a kitchen herb' : 'not known here as a kitchen herb', 'kitchen'),
                ...$herb->kitchen
                    ? [
                        new AlmanacFact(
                            'Fresh in oil, for the kitchen',
                            $souring === null
                                ? 'four days at 4 °C or colder; no tested way to sour it is known here'
                                : "four days at 4 °C or colder; or soured first, 1 part to {$souring} of 3 % citric acid for 24 h",
                            $this->planning->rules()->source($souring === null ? 'nchfp' : 'pnw-664'),
                        ),
                    ]
                    : [],
            ],
            'lines' => [],
            'cautions' => array_values(
                array_filter(
                    array_map(
                        fn (Caution $rule) => $rule->trait() === null ? null : $this->cautions->view($rule, $facts, null),
                        $this->planning->rules()->holding($facts),
                    ),
                ),
            ),
            'own' => [
                ...$this->links->madeOf('herb', $herb->id),
                ...$this->links->kept(LotKind::Herb, $herb->id),
                ...$this->links->learned($herb->form),
                ...$herb->has(Herb::DEADLY) ? [] : [new AlmanacLink('Plan with it', 'bench?herb='.$herb->id)],
                new AlmanacLink('Which solvent', 'almanac/which-solvent?plant='.$herb->id),
            ],
        ];
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>, own: list<AlmanacLink>} */
    private function oil(Carrier $oil): array
    {
        $kitchen = $this->kitchens->plain();
        $fact = fn (string $name, string $text, string $source) => new AlmanacFact($name, $text, $this->planning->rules()->source($source));
        $iodine = $oil->iodineValue();

        return [
            'name' => Str::ucfirst($oil->name),
            'says' => $oil->note,
            'facts' => array_values(
                array_filter([
                    $fact('INCI name', $oil->names->inci, 'memory'),
                    $fact('Density at 20 °C', number_format($oil->at20->gramsPerMl, 3).' g/mL', 'memory'),
                    $fact(
                        'Keeps',
                        sprintf('%d months unopened, %d opened', round($oil->months->unopened), round($oil->months->opened)),
                        'memory',
                    ),
                    $fact('Sets under', $kitchen->warmth($oil->setsBelowC), 'memory'),
                    $iodine === null
                        ? null
                        : $fact('Iodine value', round($iodine).($iodine > Facts::DRIES_FROM ? ', a drying oil' : ''), 'aocs-cd1c'),
                    $oil->oxidisability() === null
                        ? null
                        : $fact('Oxidisability', (string) round($oil->oxidisability(), 1), 'fatemi-hammond'),
                    $fact('For the kitchen', $oil->food->gradeExists ? 'sold as food' : 'not sold as food', 'practice'),
                    $oil->food->allergens === [] ? null : $fact('Contains', implode(', ', $oil->food->allergens), 'eu-1169'),
                ]),
            ),
            'own' => [...$this->links->madeOf('oil', $oil->id), ...$this->links->kept(LotKind::Carrier, $oil->id)],
        ];
    }

    private function source(string $table, string $column): string
    {
        return $this->planning->rules()->source($this->planning->tables()->table($table)->row('defaults')->row($column)->text('source'));
    }
}
