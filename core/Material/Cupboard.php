<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Unit;

/** The herbs, forms, carriers, waxes and purposes the tables know, and those a house entered as its own, found by id. */
final class Cupboard
{
    /** @var Index<HerbForm>|null */
    private ?Index $forms = null;

    /** @var Index<Herb>|null */
    private ?Index $herbs = null;

    /** @var array<string, string>|null ids of herbs by each of their names, plainly written */
    private ?array $names = null;

    /** @var Index<Carrier>|null */
    private ?Index $carriers = null;

    /** @var Index<Wax>|null */
    private ?Index $waxes = null;

    /** @var Index<EssentialOil>|null */
    private ?Index $essentialOils = null;

    /** @var Index<Addition>|null */
    private ?Index $additions = null;

    /** @var Index<Heed>|null */
    private ?Index $heeds = null;

    /** @var Index<Purpose>|null */
    private ?Index $purposes = null;

    /** @var array<string, array<string, string>> names by id, by table */
    private array $called = [];

    /** @param  Own|\Closure(): Own  $own a house's own things; asked for only where one is named, or all are */
    public function __construct(private readonly Tables $tables, private readonly Own|\Closure $own = new Own()) {}

    public function own(): Own
    {
        return $this->own instanceof Own ? $this->own : ($this->own)();
    }

    public function tables(): Tables
    {
        return $this->tables;
    }

    /** @return array<string, HerbForm> */
    public function forms(): array
    {
        return $this->shippedForms()->all();
    }

    /** @return Index<HerbForm> */
    private function shippedForms(): Index
    {
        return $this->forms ??= new Index($this->tables->table('forms'), HerbForm::fromRow(...));
    }

    /** @return array<string, Herb> */
    public function herbs(): array
    {
        return [...$this->shippedHerbs()->all(), ...$this->own()->herbs];
    }

    /** @return Index<Herb> of the tables alone */
    private function shippedHerbs(): Index
    {
        return $this->herbs ??= new Index($this->tables->table('herbs'), Herb::fromRow(...));
    }

    /** @return list<string> what plants are called that have the name of one of these in theirs and are another: marsh marigold */
    public function namesakes(): array
    {
        $rows = $this->tables->table('namesakes')->rows('rows');

        return array_merge(...array_map(fn (Row $row) => [$row->text('name'), ...$row->texts('also')], array_values($rows)));
    }

    /** @return array<string, Carrier> */
    public function carriers(): array
    {
        return [...$this->shippedCarriers()->all(), ...$this->own()->carriers];
    }

    /** @return Index<Carrier> of the tables alone */
    private function shippedCarriers(): Index
    {
        return $this->carriers ??= new Index($this->tables->table('carriers'), Carrier::fromRow(...));
    }

    /** @return array<string, Wax> */
    public function waxes(): array
    {
        return [...$this->shippedWaxes()->all(), ...$this->own()->waxes];
    }

    /** @return Index<Wax> of the tables alone */
    private function shippedWaxes(): Index
    {
        return $this->waxes ??= new Index($this->tables->table('waxes'), Wax::fromRow(...));
    }

    /** @return array<string, EssentialOil> */
    public function essentialOils(): array
    {
        return [...$this->shippedEssentialOils()->all(), ...$this->own()->essentialOils];
    }

    /** @return Index<EssentialOil> of the tables alone */
    private function shippedEssentialOils(): Index
    {
        return $this->essentialOils ??= new Index($this->tables->table('essential_oils'), EssentialOil::fromRow(...));
    }

    /** @return list<string> what an essential oil of the tables may do */
    public function scentTraits(): array
    {
        $traits = array_map(fn (EssentialOil $oil) => $oil->traits, array_values($this->shippedEssentialOils()->all()));

        return array_values(array_unique(array_merge(...$traits)));
    }

    /**
     * Without what a house has put away: that is known, and offered no longer.
     *
     * @template T of Herb|Carrier|Wax|EssentialOil|OwnSchool
     *
     * @param  array<string, T>  $things by id
     * @return array<string, T>
     */
    public function offered(array $things): array
    {
        return array_diff_key($things, array_flip($this->own()->away));
    }

    /** @return array<string, Herb> what may be planned: what is deadly is not offered, and refused when it is written */
    public function offeredHerbs(): array
    {
        return array_filter($this->offered($this->herbs()), fn (Herb $herb) => ! $herb->has(Herb::DEADLY));
    }

    /** @return array<string, Addition> */
    public function additions(): array
    {
        return $this->shippedAdditions()->all();
    }

    /** @return Index<Addition> */
    private function shippedAdditions(): Index
    {
        return $this->additions ??= new Index($this->tables->table('additions'), Addition::fromRow(...));
    }

    /** @return array<string, Heed> */
    public function heeds(): array
    {
        return $this->shippedHeeds()->all();
    }

    /** @return Index<Heed> */
    private function shippedHeeds(): Index
    {
        return $this->heeds ??= new Index($this->tables->table('heeds'), Heed::fromRow(...));
    }

    /** @throws MaterialException */
    public function heed(string $id): Heed
    {
        return $this->shippedHeeds()->find($id) ?? throw MaterialException::unknown('word of that kind', $id);
    }

    /**
     * @param  mixed  $ids a list of them, or one, as it was sent
     * @return list<Heed> each once, in the order of the table
     *
     * @throws MaterialException when one is none
     */
    public function heedsOf(mixed $ids): array
    {
        $asked = [];
        foreach (is_array($ids) ? $ids : [$ids] as $id) {
            $asked[$this->heed(is_string($id) ? $id : '')->id] = true;
        }

        return array_values(array_intersect_key($this->heeds(), $asked));
    }

    /** @return list<string> ids of what there may be to work with */
    public function things(): array
    {
        return array_values(array_map(fn (Row $row) => $row->text('id'), $this->tables->table('things')->rows('rows')));
    }

    /** @return array<string, Purpose> */
    public function purposes(): array
    {
        return $this->shippedPurposes()->all();
    }

    /** @return Index<Purpose> */
    private function shippedPurposes(): Index
    {
        return $this->purposes ??= new Index($this->tables->table('purposes'), Purpose::fromRow(...));
    }

    /** @throws MaterialException */
    public function wax(string $id): Wax
    {
        return $this->waxOrNull($id) ?? throw MaterialException::unknown('wax or butter', $id);
    }

    /** @throws MaterialException */
    public function essentialOil(string $id): EssentialOil
    {
        return $this->scentOrNull($id) ?? throw MaterialException::unknown('essential oil', $id);
    }

    /** @throws MaterialException */
    public function addition(string $id): Addition
    {
        return $this->shippedAdditions()->find($id) ?? throw MaterialException::unknown('addition', $id);
    }

    /** @throws MaterialException */
    public function purpose(string $id): Purpose
    {
        return $this->shippedPurposes()->find($id) ?? throw MaterialException::unknown('purpose', $id);
    }

    /** @throws MaterialException */
    public function form(string $id): HerbForm
    {
        return $this->shippedForms()->find($id) ?? throw MaterialException::unknown('herb form', $id);
    }

    /** The unit that a word means among the house's own measures; null where none is meant. */
    public function measureNamed(string $word): ?Unit
    {
        return OwnMeasure::named($this->own()->measures, $word);
    }

    /** A school of the house's own, offered still or not. */
    public function schoolOrNull(string $id): ?OwnSchool
    {
        return $this->own()->schools[$id] ?? null;
    }

    /** @return array<string, OwnSchool> those that are offered */
    public function schools(): array
    {
        return $this->offered($this->own()->schools);
    }

    /** Found by its id; of the house's own things only one of theirs is asked for. */
    public function herbOrNull(string $id): ?Herb
    {
        return Own::is($id) ? $this->own()->herbs[$id] ?? null : $this->shippedHerbs()->find($id);
    }

    public function carrierOrNull(string $id): ?Carrier
    {
        return Own::is($id) ? $this->own()->carriers[$id] ?? null : $this->shippedCarriers()->find($id);
    }

    public function waxOrNull(string $id): ?Wax
    {
        return Own::is($id) ? $this->own()->waxes[$id] ?? null : $this->shippedWaxes()->find($id);
    }

    public function scentOrNull(string $id): ?EssentialOil
    {
        return Own::is($id) ? $this->own()->essentialOils[$id] ?? null : $this->shippedEssentialOils()->find($id);
    }

    /** @throws MaterialException */
    public function herb(string $id): Herb
    {
        return $this->herbOrNull($id) ?? throw MaterialException::unknown('herb', $id);
    }

    /** The herb that goes by a name: its own, the botanist's or another of its names, in the singular or the plural. */
    public function herbNamed(string $name): ?Herb
    {
        if ($this->names === null) {
            $this->names = [];
            foreach ($this->shippedHerbs()->all() as $herb) {
                foreach ([$herb->name, $herb->latin, ...$herb->also] as $each) {
                    // The first to be called so: a plant with two parts goes by the part listed first.
                    $this->names[Names::plain($each)] ??= $herb->id;
                }
            }
        }
        $id = $this->names[Names::plain($name)] ?? null;

        return $id === null
            ? self::named($this->own()->herbs, $name, fn (Herb $herb) => [$herb->latin, ...$herb->also])
            : $this->shippedHerbs()->find($id);
    }

    /** The wax or butter that goes by a name. */
    public function waxNamed(string $name): ?Wax
    {
        return self::named($this->waxes(), $name, fn (Wax $wax) => [$wax->inci, ...$wax->also]);
    }

    /** The essential oil that goes by a name. */
    public function scentNamed(string $name): ?EssentialOil
    {
        return self::named($this->essentialOils(), $name, fn (EssentialOil $oil) => [$oil->names->inci, ...$oil->names->also]);
    }

    /** What is added to an oil, such as vitamin E, that goes by a name. */
    public function additionNamed(string $name): ?Addition
    {
        return self::named($this->additions(), $name, fn (Addition $addition) => $addition->names->also);
    }

    /**
     * @template T of Herb|Carrier|Wax|EssentialOil|Addition
     *
     * @param  array<string, T>  $among
     * @param  \Closure(T): list<string>  $also its other names
     * @return ?T
     */
    private static function named(array $among, string $name, \Closure $also): Herb|Carrier|Wax|EssentialOil|Addition|null
    {
        $plain = Names::plain($name);
        foreach ($among as $thing) {
            foreach ([$thing->name, ...$also($thing)] as $each) {
                if ($plain !== '' && Names::plain($each) === $plain) {
                    return $thing;
                }
            }
        }

        return null;
    }

    /** What a herb of the tables is called, without making all of them; null where they have it not. */
    public function herbName(string $id): ?string
    {
        return Own::is($id) ? $this->own()->herbs[$id]->name ?? null : $this->nameIn('herbs', $id);
    }

    public function oilName(string $id): ?string
    {
        return Own::is($id) ? $this->own()->carriers[$id]->name ?? null : $this->nameIn('carriers', $id);
    }

    public function productName(string $id): ?string
    {
        return $this->nameIn('products', $id);
    }

    private function nameIn(string $table, string $id): ?string
    {
        if (! isset($this->called[$table])) {
            $this->called[$table] = [];
            foreach ($this->tables->table($table)->rows('rows') as $row) {
                $this->called[$table][$row->text('id')] = $row->text('name');
            }
        }

        return $this->called[$table][$id] ?? null;
    }

    /** @return array{herb: list<string>, oil: list<string>} ids of the herbs and oils whose name has this in it */
    public function idsCalled(string $part): array
    {
        $has = fn (Herb|Carrier $each): bool => Names::has($each->name, $part);

        return [
            'herb' => array_values(array_map(fn (Herb $herb) => $herb->id, array_filter($this->herbs(), $has))),
            'oil' => array_values(array_map(fn (Carrier $oil) => $oil->id, array_filter($this->carriers(), $has))),
        ];
    }

    /** @return list<string> ids of the products whose name has this in it */
    public function productsCalled(string $part): array
    {
        $ids = [];
        foreach ($this->tables->table('products')->rows('rows') as $row) {
            if (Names::has($row->text('name'), $part)) {
                $ids[] = $row->text('id');
            }
        }

        return $ids;
    }

    /** The oil or fat that goes by a name. */
    public function carrierNamed(string $name): ?Carrier
    {
        return self::named($this->carriers(), $name, fn (Carrier $carrier) => [$carrier->names->inci, ...$carrier->names->also]);
    }

    /** @throws MaterialException */
    public function carrier(string $id): Carrier
    {
        return $this->carrierOrNull($id) ?? throw MaterialException::unknown('oil', $id);
    }
}
