<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Models\AlmanacNote;
use App\Models\Batch;
use App\Models\Lot;
use App\Pages\Batch\BatchPresenter;
use App\Pages\Batch\CautionPresenter;
use App\Pages\Stores\StoresPresenter;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Almanac\AlmanacFact;
use App\Responses\Almanac\AlmanacLink;
use App\Responses\Almanac\AlmanacPage;
use App\Responses\Almanac\OwnTells;
use App\Responses\Batch\CautionView;
use Illuminate\Database\Eloquent\Builder;
use Kettle\Caution\AcidSoak;
use Kettle\Caution\Caution;
use Kettle\Caution\ColdStorage;
use Kettle\Caution\Facts;
use Kettle\Fault\FaultFinder;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Variant;
use Kettle\Material\Carrier;
use Kettle\Material\Herb;
use Kettle\Material\Own;
use Kettle\Material\OwnKind;
use Kettle\Material\State;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Planning;
use Kettle\Stores\LotKind;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What is known of plants, oils, methods, cautions and faults, with where it comes from and what the house made of it. */
final readonly class AlmanacPresenter
{
    public const KINDS = ['plant', 'oil', 'method', ...MeltEntries::KINDS, 'caution', 'fault'];

    /** Batches and lots of the house shown with a thing. */
    private const OWN = 8;

    public function __construct(
        private Planning $planning,
        private Methods $methods,
        private FaultFinder $faults,
        private CautionPresenter $cautions,
        private YieldPresenter $yields,
        private KitchenFactory $kitchens,
        private BatchPresenter $batches,
        private StoresPresenter $stores,
        private MeltEntries $melt,
        private OwnPage $own,
    ) {}

    /**
     * @param  bool  $byName only by its names, as the find box does; else by what is said of it too
     * @return list<AlmanacEntry> those that hold what was typed
     */
    public function list(string $kind, string $typed = '', bool $byName = false): array
    {
        $entries = match ($kind) {
            'plant' => array_map(
                fn (Herb $herb) => new AlmanacEntry(
                    'plant',
                    $herb->id,
                    self::capital($herb->name),
                    trim($herb->latin.', '.$herb->part, ', '),
                    Own::is($herb->id),
                ),
                array_values($this->planning->cupboard()->herbs()),
            ),
            'oil' => array_map(
                fn (Carrier $oil) => new AlmanacEntry(
                    'oil',
                    $oil->id,
                    self::capital($oil->name),
                    round($oil->months->opened).' months opened'.($oil->note === '' ? '' : '; '.lcfirst(rtrim($oil->note, '.'))),
                    Own::is($oil->id),
                ),
                array_values($this->planning->cupboard()->carriers()),
            ),
            'method' => array_map(
                fn (Method $method) => new AlmanacEntry(
                    'method',
                    $method->id,
                    ucfirst($method->name),
                    implode('; ', array_map(fn (Variant $school) => $school->name, $method->variants)),
                ),
                array_values($this->methods->all()),
            ),
            'caution' => array_map(
                fn (Caution $rule) => new AlmanacEntry('caution', $rule->id, self::ruleName($rule), $rule->why),
                $this->planning->rules()->all(),
            ),
            'fault' => array_map(
                fn (array $cause) => new AlmanacEntry('fault', $cause['id'], ucfirst($cause['name']), implode('; ', $cause['signs'])),
                $this->faults->causes(),
            ),
            'wax', 'scent', 'product' => $this->melt->list($kind),
            default => throw new NotFoundHttpException(),
        };
        usort($entries, fn (AlmanacEntry $a, AlmanacEntry $b) => strcoll($a->name, $b->name));
        $typed = mb_strtolower($typed);

        return $typed === ''
            ? $entries
            : array_values(
                array_filter(
                    $entries,
                    fn (AlmanacEntry $entry) => str_contains(
                        mb_strtolower($byName && $kind !== 'plant' ? $entry->name : $entry->name.' '.$entry->says),
                        $typed,
                    ),
                ),
            );
    }

    public function page(string $kind, string $key): AlmanacPage
    {
        $note = AlmanacNote::query()->where('kind', $kind)->where('key', $key)->first();
        $parts = match ($kind) {
            'plant' => $this->plant($this->planning->cupboard()->herbOrNull($key) ?? throw new NotFoundHttpException()),
            'oil' => $this->oil($this->planning->cupboard()->carrierOrNull($key) ?? throw new NotFoundHttpException()),
            'method' => $this->method($this->methods->all()[$key] ?? throw new NotFoundHttpException()),
            'caution' => $this->caution(
                array_column($this->planning->rules()->all(), null, 'id')[$key] ?? throw new NotFoundHttpException(),
            ),
            'fault' => $this->fault(array_column($this->faults->causes(), null, 'id')[$key] ?? throw new NotFoundHttpException()),
            'wax' => $this->melt->page($kind, $key) + ['own' => $this->kept(LotKind::Wax, $key)],
            'scent', 'product' => $this->melt->page($kind, $key),
            default => throw new NotFoundHttpException(),
        };

        $kitchen = $this->kitchens->plain();
        // A caution may begin with the same letters.
        $entered = OwnKind::tryFrom($kind) !== null && Own::is($key);
        if ($entered) {
            $parts = $this->entered($key, $parts);
        }

        return new AlmanacPage(
            kind: $kind,
            key: $key,
            name: $parts['name'],
            says: $kitchen->inDegrees($parts['says']),
            facts: array_map(
                fn (AlmanacFact $fact) => new AlmanacFact($fact->name, $kitchen->inDegrees($fact->text), $fact->source),
                $parts['facts'],
            ),
            lines: array_map($kitchen->inDegrees(...), $parts['lines'] ?? []),
            cautions: $parts['cautions'] ?? [],
            own: $parts['own'] ?? [],
            note: $note->note ?? '',
            note_by: $note->by ?? '',
            note_version: $note->version ?? 0,
            entered: $entered,
        );
    }

    /**
     * Of what the house entered: from whom it is known, what nobody has said, and what is told of it for that.
     *
     * @param  array{name: string, says: string, facts: list<AlmanacFact>, lines?: list<string>, cautions?: list<CautionView>,
     *     own?: list<AlmanacLink>}  $parts
     * @return array{name: string, says: string, facts: list<AlmanacFact>, lines?: list<string>, cautions: list<CautionView>,
     *     own?: list<AlmanacLink>}
     */
    private function entered(string $key, array $parts): array
    {
        $own = $this->own->ofSlug($key);

        return [
            'facts' => [
                ...array_values(
                    array_map(
                        fn (AlmanacFact $fact) => new AlmanacFact($fact->name, $fact->text, 'entered by this house'),
                        array_filter($parts['facts'], fn (AlmanacFact $fact) => trim($fact->text) !== ''),
                    ),
                ),
                ...$own->unknown === []
                    ? []
                    : [new AlmanacFact('Nobody has said', implode(', ', $own->unknown), 'unknown is taken for the worst')],
            ],
            'cautions' => array_map(function (OwnTells $each): CautionView {
                return new CautionView($each->id, $each->rank, [], $each->says, $each->why, 'what was entered', false, null);
            }, $own->cautions),
        ] + $parts;
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
            'name' => self::capital($herb->name),
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
                ...$this->made(fn (Builder $batches) => $batches->whereJsonContains('herbs->all', $herb->said())),
                ...$this->kept(LotKind::Herb, $herb->id),
                ...$this->learned($herb->form),
                ...$herb->has(Herb::DEADLY) ? [] : [new AlmanacLink('Plan with it', 'bench?herb='.$herb->id)],
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
            'name' => self::capital($oil->name),
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
            'own' => [
                ...$this->made(fn (Builder $batches) => $batches->whereJsonContains('oils->all', $oil->said())),
                ...$this->kept(LotKind::Carrier, $oil->id),
            ],
        ];
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>, lines: list<string>, own: list<AlmanacLink>} */
    private function method(Method $method): array
    {
        $kitchen = $this->kitchens->plain();
        $practice = $this->planning->rules()->source('practice');

        return [
            'name' => ucfirst($method->name),
            'says' => implode(' ', array_slice($method->tending->handling, 0, 1)),
            'facts' => array_map(
                fn (Variant $school) => new AlmanacFact(
                    ucfirst($school->name),
                    AmountWriter::span($school->leastH).
                        ' to '.
                        AmountWriter::span($school->mostH).
                        ', usually '.
                        AmountWriter::span($school->usualH).
                        ($school->targetC === null
                            ? ''
                            : ', at '.
                                $kitchen->warmth($school->targetC).
                                ' and never over '.
                                $kitchen->warmth($school->ceilingC ?? $school->targetC)).
                        '. '.
                        $school->why,
                    $practice,
                ),
                $method->variants,
            ),
            'lines' => [
                ...array_values(
                    array_filter([
                        $method->tending->lidDry === '' ? '' : 'Dried herb: '.lcfirst($method->tending->lidDry),
                        $method->tending->lidWet === '' ? '' : 'Wet herb: '.lcfirst($method->tending->lidWet),
                    ]),
                ),
                ...$method->tending->handling,
                ...array_map(fn (string $risk) => 'It may go wrong: '.lcfirst($risk), $method->risks),
            ],
            'own' => $this->made(fn (Builder $batches) => $batches->where('shelf->method', $method->id)),
        ];
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>, lines: list<string>} */
    private function caution(Caution $rule): array
    {
        $source = $this->planning->rules()->source($rule->source);
        $trait = $rule->trait();
        $plants =
            $trait === null
                ? []
                : array_filter($this->planning->cupboard()->herbs(), fn (Herb $herb) => in_array($trait, $herb->traits, true));

        return [
            'name' => self::ruleName($rule),
            'says' => $rule->why,
            'facts' => [
                new AlmanacFact('Says', self::plain($rule->says), $source),
                new AlmanacFact(
                    'Rank',
                    match ($rule->rank) {
                        'stop' => 'stop: it is not done so',
                        'care' => $rule->acknowledge ? 'care: read before going on' : 'care',
                        default => 'note',
                    },
                    'set here',
                ),
                new AlmanacFact('Shown at', implode(', ', $rule->places), 'set here'),
            ],
            'lines' => $plants === []
                    ? []
                    : ['It holds for '.implode(', ', array_map(fn (Herb $herb) => $herb->name, array_values($plants))).'.'],
        ];
    }

    /**
     * @param  array{id: string, name: string, signs: list<string>, test: string, do: string, keep: string}  $cause
     * @return array{name: string, says: string, facts: list<AlmanacFact>}
     */
    private function fault(array $cause): array
    {
        $practice = $this->planning->rules()->source('practice');

        return [
            'name' => ucfirst($cause['name']),
            'says' => '',
            'facts' => [
                new AlmanacFact('Shows as', implode('; ', $cause['signs']), $practice),
                new AlmanacFact('Test', $cause['test'], $practice),
                new AlmanacFact('Do', $cause['do'], $practice),
                new AlmanacFact(
                    'Keep it?',
                    match ($cause['keep']) {
                        'keep' => 'yes',
                        'use-soon' => 'use it soon',
                        'discard-if-eaten' => 'not what is to be eaten',
                        default => 'no: throw it away',
                    },
                    $practice,
                ),
            ],
        ];
    }

    /**
     * @param  \Closure(Builder<Batch>): Builder<Batch>  $which
     * @return list<AlmanacLink>
     */
    private function made(\Closure $which): array
    {
        return array_values(
            $which(Batch::query()->select(BatchPresenter::COLUMNS))
                ->orderByDesc('id')
                ->limit(self::OWN)
                ->get()
                ->map(
                    fn (Batch $batch) => new AlmanacLink(
                        $batch->code.' '.$batch->name.', '.$this->batches->stage($batch),
                        'batch/'.$batch->uid,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<AlmanacLink> */
    private function kept(LotKind $kind, string $material): array
    {
        return array_values(
            Lot::query()
                ->where('kind', $kind)
                ->where('material', $material)
                ->where('left', '>', 0)
                ->orderBy('got_on')
                ->limit(self::OWN)
                ->get()
                ->map(
                    fn (Lot $lot) => new AlmanacLink(
                        'In Stores: '.$lot->called.', '.$this->stores->amount($lot, (float) $lot->left),
                        'stores/'.$lot->uid,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<AlmanacLink> what was learned of its form */
    private function learned(string $form): array
    {
        return array_map(
            fn ($line) => new AlmanacLink($line->says, 'almanac/yields?form='.rawurlencode($line->form).'&way='.$line->way),
            $this->yields->lines($form),
        );
    }

    /** Letters with dots and strokes as well. */
    private static function capital(string $name): string
    {
        return mb_strtoupper(mb_substr($name, 0, 1)).mb_substr($name, 1);
    }

    private static function ruleName(Caution $rule): string
    {
        return ucfirst(str_replace('-', ' ', $rule->id));
    }

    /** What a rule says where there is no plan to fill its words in from. */
    private static function plain(string $says): string
    {
        $said = (string) preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $m) => [
                'Herbs' => 'The herb',
                'herbs' => 'the herb',
                'Wet' => 'Wet herb',
                'State' => 'Wet',
                'ceiling' => 'the ceiling of its school',
                'cold' => '4 °C',
                'allergens' => 'allergens',
                'warm_h' => (string) ColdStorage::MOST_WARM_H,
            ][$m[1]] ?? str_replace('_', ' ', $m[1]),
            $says,
        );

        return mb_strtoupper(mb_substr($said, 0, 1)).mb_substr($said, 1);
    }

    private function source(string $table, string $column): string
    {
        return $this->planning->rules()->source($this->planning->tables()->table($table)->row('defaults')->row($column)->text('source'));
    }
}
