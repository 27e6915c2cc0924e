<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\AmountReader;
use Kettle\Measure\Density;
use Kettle\Measure\MeasureSystem;
use Kettle\Reason\Faults;

/**
 * Reads a thing of a house's own as it was entered, gathering every fault. What was not said is taken from the thing of
 * the tables it is like; where there is none, it is taken for the worst of its kind, and said to be unknown.
 */
final readonly class OwnReader
{
    /** Fields of each kind, beside kind, id, away and those of all: docs/formats/house.schema.json, `own`. */
    public const FIELDS = [
        'plant' => ['latin', 'part', 'form', 'water', 'best', 'food', 'family', 'concerns', 'kin', 'look_alikes'],
        'oil' => [
            'latin',
            'like',
            'density',
            'sets_below',
            'months_unopened',
            'months_opened',
            'fatty_acids',
            'food',
            'allergens',
            'smell',
        ],
        'wax' => ['latin', 'like', 'sort', 'melts_from', 'melts_to', 'hardness', 'density', 'months', 'food', 'allergens'],
        'scent' => ['latin', 'like', 'density', 'limit', 'concerns'],
        'measure' => ['holds_ml', 'weighs_g'],
        'school' => ['method', 'hours', 'warmth'],
    ];

    public const OF_ALL = ['kind', 'id', 'name', 'also', 'note', 'away'];

    public const FOOD = ['yes', 'no', 'unknown'];

    /** Of an essential oil of which nobody has said what it does. */
    private const SCENT_AT_WORST = ['irritant', 'pregnancy', 'pets', 'vapour', 'never-eaten'];

    /**
     * @param  bool  $strict whether another of its names is a fault: not of what was taken in before
     * @param  MeasureSystem  $custom of the house: what its cup holds
     */
    public function __construct(
        private Cupboard $cupboard,
        private bool $strict = true,
        private MeasureSystem $custom = MeasureSystem::Us,
    ) {}

    /** An id for a name; what is no Latin letter in it leaves none, and is told apart by a sum of it. */
    public static function idFor(string $name): string
    {
        $slug = trim(preg_replace('/[^a-z0-9]+/', '-', mb_strtolower(Names::withoutAccents($name))) ?? '', '-');

        return Own::PREFIX.(strlen($slug) >= 2 ? substr($slug, 0, 50) : substr(hash('sha256', $name), 0, 12));
    }

    /**
     * @param  array<mixed>  $document as it is sent or kept
     *
     * @throws OwnException with every fault found
     */
    public function read(array $document): OwnThing
    {
        $kind = OwnKind::tryFrom(is_string($document['kind'] ?? null) ? $document['kind'] : '');
        if ($kind === null) {
            throw OwnException::of([MaterialException::ownKind()->about('kind')->toArray()]);
        }
        $from = new OwnFields($document, new Faults(), new AmountReader($this->custom));
        $from->only([...self::OF_ALL, ...self::FIELDS[$kind->value]]);
        $name = $from->name('name', 60, true);
        $given = $from->text('id', 60);
        if ($given !== '' && preg_match('/^own-[a-z0-9]+(-[a-z0-9]+)*$/D', $given) !== 1) {
            $from->refuse('id', MaterialException::ownId($given));
        }
        $id = $given === '' ? self::idFor($name) : $given;
        $also = $from->names('also', 12, 60);
        foreach (['name' => [$name], 'also' => $also] as $field => $names) {
            foreach ($names as $each) {
                $of = $each === '' || ! $this->strict ? null : $this->called($kind, $each, $id);
                $of === null ?: $from->refuse($field, MaterialException::ownTwice($each, $of));
            }
        }
        [$thing, $fields, $unknown] = match ($kind) {
            OwnKind::Plant => (new OwnPlants($this->cupboard))->read($from, $id, $name, $also),
            OwnKind::Oil => $this->oil($from, $id, $name, $also),
            OwnKind::Wax => $this->wax($from, $id, $name),
            OwnKind::Scent => $this->scent($from, $id, $name, $also),
            OwnKind::Measure => OwnHabits::measure($from, $id, $name, $also),
            OwnKind::School => OwnHabits::school($from, $id, $name),
        };
        $fields = ['kind' => $kind->value, 'id' => $id, 'name' => $name, 'also' => $also, ...$fields, 'note' => $from->text('note', 400)];
        $away = $from->flag('away');
        if ($from->faults() !== [] || $thing === null) {
            throw OwnException::of($from->faults() ?: [MaterialException::ownKind()->toArray()]);
        }

        return new OwnThing($kind, $id, $name, $thing, $fields + ['away' => $away], $unknown, $away);
    }

    /** What else goes by a name, among things of its kind; null where nothing does. */
    private function called(OwnKind $kind, string $name, string $id): ?string
    {
        $other = match ($kind) {
            OwnKind::Plant => $this->cupboard->herbNamed($name),
            OwnKind::Oil => $this->cupboard->carrierNamed($name),
            OwnKind::Wax => $this->cupboard->waxNamed($name),
            OwnKind::Scent => $this->cupboard->scentNamed($name),
            OwnKind::Measure => OwnHabits::named($this->cupboard->own()->measures, $name),
            OwnKind::School => OwnHabits::named($this->cupboard->own()->schools, $name),
        };

        return $other === null || $other->id === $id ? null : $other->name;
    }

    /**
     * @param  list<string>  $also
     * @return array{?Carrier, array<string, mixed>, list<string>}
     */
    private function oil(OwnFields $from, string $id, string $name, array $also): array
    {
        $worst = $this->cupboard->tables()->table('own')->row('unknown');
        [$likeId, $like] = $from->ofTheAlmanac('like', 'oil', $this->cupboard->carrierOrNull(...));
        $fields = [
            'latin' => $from->name('latin', 80, false),
            'like' => $likeId,
            'density' => $from->number('density', 0.8, 1.0, Figure::GramsPerMl),
            'sets_below' => $from->number('sets_below', -60, 60, Figure::Celsius),
            'months_unopened' => $from->number('months_unopened', 0.5, 120, Figure::Months),
            'months_opened' => $from->number('months_opened', 0.5, 120, Figure::Months),
            'fatty_acids' => OwnFats::read($from),
            'food' => $from->oneOf('food', self::FOOD, 'unknown'),
            'allergens' => $from->allergens('allergens'),
            'smell' => $from->oneOf('smell', ['none', 'mild', 'strong'], 'mild'),
        ];
        if (
            $fields['months_unopened'] !== null &&
            $fields['months_opened'] !== null &&
            $fields['months_opened'] > $fields['months_unopened']
        ) {
            $from->refuse('months_opened', MaterialException::ownMonths());
        }
        $unknown = array_keys(
            array_filter([
                'density' => $fields['density'] === null && $like === null,
                'sets' => $fields['sets_below'] === null && $like === null,
                'months' => $fields['months_opened'] === null && $like === null,
                'fats' => $fields['fatty_acids'] === null && $like === null,
                'allergens' => $fields['allergens'] === null && $like === null,
                'food' => $fields['food'] === 'unknown',
            ]),
        );
        if ($from->faults() !== []) {
            return [null, [], []];
        }
        $opened = $fields['months_opened'] ?? ($like->months->opened ?? $worst->row('oil_months_opened')->number('value'));

        return [
            new Carrier(
                $id,
                $name,
                new OilNames($fields['latin'] ?: $name, $also),
                $fields['fatty_acids'] === null ? $like?->fattyAcids : new FattyAcids($fields['fatty_acids']),
                Density::gramsPerMl($fields['density'] ?? ($like->at20->gramsPerMl ?? $worst->row('oil_g_per_ml')->number('value'))),
                $fields['sets_below'] ?? ($like->setsBelowC ?? $worst->row('oil_sets_below_c')->number('value')),
                new OilLife(
                    max(
                        $opened,
                        $fields['months_unopened'] ?? ($like->months->unopened ?? $worst->row('oil_months_unopened')->number('value')),
                    ),
                    $opened,
                ),
                new OilFeel(
                    $like->feel->richness ?? 3,
                    match ($fields['smell']) {
                        'none' => 0,
                        'strong' => 2,
                        default => 1,
                    },
                ),
                new OilAsFood(
                    $fields['food'] === 'yes',
                    array_values(array_unique([...$like->food->allergens ?? [], ...$fields['allergens'] ?? []])),
                ),
                $like?->iodineValueOrPublished(),
                $from->text('note', 400),
                $unknown,
            ),
            $fields,
            $unknown,
        ];
    }

    /** @return array{?Wax, array<string, mixed>, list<string>} */
    private function wax(OwnFields $from, string $id, string $name): array
    {
        $worst = $this->cupboard->tables()->table('own')->row('unknown');
        // An additive is like no wax: it makes nothing firm.
        $firm = fn (string $id): ?Wax => ($wax = $this->cupboard->waxOrNull($id)) !== null && $wax->hardness !== null ? $wax : null;
        [$likeId, $like] = $from->ofTheAlmanac('like', 'wax or butter', $firm);
        $fields = [
            'latin' => $from->name('latin', 80, false),
            'like' => $likeId,
            'sort' => $from->oneOf('sort', ['wax', 'butter'], $like->kind ?? 'wax'),
            'melts_from' => $from->number('melts_from', 20, 120, Figure::Celsius),
            'melts_to' => $from->number('melts_to', 20, 120, Figure::Celsius),
            'hardness' => $from->number('hardness', 0.02, 5, Figure::Times),
            'density' => $from->number('density', 0.8, 1.1, Figure::GramsPerMl),
            'months' => $from->number('months', 0.5, 240, Figure::Months),
            'food' => $from->oneOf('food', self::FOOD, 'unknown'),
            'allergens' => $from->allergens('allergens'),
        ];
        $meltsFrom = $fields['melts_from'] ?? ($fields['melts_to'] ?? $like?->meltsFromC);
        $meltsTo = $fields['melts_to'] ?? ($fields['melts_from'] ?? $like?->meltsToC);
        if ($fields['melts_from'] !== null && $fields['melts_to'] !== null && $fields['melts_to'] < $fields['melts_from']) {
            $from->refuse('melts_to', MaterialException::ownMelts());
        }
        $hardness = $fields['hardness'] ?? $like?->hardness;
        // Without these no share of it can be reckoned at all, so they are asked.
        $meltsFrom === null &&
            ! $from->has('melts_from') &&
            ! $from->has('melts_to') &&
            $from->refuse('melts_from', MaterialException::ownNeeds('where it melts', 'a wax or butter it is like'));
        $hardness === null &&
            ! $from->has('hardness') &&
            $from->refuse('hardness', MaterialException::ownNeeds('how hard it is', 'a wax or butter it is like'));
        if ($from->faults() !== [] || $meltsFrom === null || $meltsTo === null || $hardness === null) {
            return [null, [], []];
        }

        return [
            Wax::own(
                $id,
                $name,
                (string) $fields['sort'],
                [$meltsFrom, $meltsTo],
                $hardness,
                $fields['density'] ?? ($like->gramsPerMl ?? $worst->row('wax_g_per_ml')->number('value')),
                array_values(array_unique([...$like->allergens ?? [], ...$fields['allergens'] ?? []])),
                $from->text('note', 400),
                $fields['latin'] ?: $name,
                $fields['months'] ?? ($like->months ?? $worst->row('wax_months')->number('value')),
                $fields['food'] === 'yes',
                [
                    $like->fusionJPerG ?? $worst->row('wax_fusion_j_per_g')->number('value'),
                    $like->gramsPerMol ?? $worst->row('wax_g_per_mol')->number('value'),
                ],
                $like?->pellets,
            ),
            $fields,
            array_keys(
                array_filter([
                    'density' => $fields['density'] === null && $like === null,
                    'months' => $fields['months'] === null && $like === null,
                    'allergens' => $fields['allergens'] === null && $like === null,
                    'food' => $fields['food'] === 'unknown',
                ]),
            ),
        ];
    }

    /**
     * @param  list<string>  $also
     * @return array{?EssentialOil, array<string, mixed>, list<string>}
     */
    private function scent(OwnFields $from, string $id, string $name, array $also): array
    {
        $worst = $this->cupboard->tables()->table('own')->row('unknown');
        [$likeId, $like] = $from->ofTheAlmanac('like', 'essential oil', $this->cupboard->scentOrNull(...));
        $fields = [
            'latin' => $from->name('latin', 80, false),
            'like' => $likeId,
            'density' => $from->number('density', 0.7, 1.3, Figure::GramsPerMl),
            'limit' => $from->number('limit', 0.01, 100, Figure::PerCent),
            'concerns' => $from->listOf('concerns', [...$this->cupboard->scentTraits(), 'sunlight']),
        ];
        if ($from->faults() !== []) {
            return [null, [], []];
        }
        $careful = $worst->row('scent_limit_percent')->number('value');
        $traits = [...$like->traits ?? [], ...$fields['concerns'] ?? ($like === null ? self::SCENT_AT_WORST : [])];

        return [
            EssentialOil::own(
                $id,
                $name,
                new OilNames($fields['latin'] ?: $name, [...$also, ...array_filter([$fields['latin']])]),
                $fields['density'] ?? ($like->density->gramsPerMl ?? $worst->row('scent_g_per_ml')->number('value')),
                // One it is like may have no limit of its own: that one has been looked at, this one has not.
                $fields['limit'] ?? ($like === null ? $careful : min($like->limitPercent ?? $careful, $careful)),
                array_values(array_unique($traits)),
                $like,
                $from->text('note', 400),
            ),
            $fields,
            array_keys(
                array_filter([
                    'concerns' => $fields['concerns'] === null && $like === null,
                    'limit' => $fields['limit'] === null,
                    'density' => $fields['density'] === null && $like === null,
                ]),
            ),
        ];
    }
}
