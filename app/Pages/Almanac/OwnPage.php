<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Models\OwnThing;
use App\Responses\Almanac\OwnChoices;
use App\Responses\Almanac\OwnFamily;
use App\Responses\Almanac\OwnSeen;
use App\Responses\Almanac\OwnTells;
use App\Responses\Almanac\OwnView;
use App\Responses\Choice;
use Kettle\Infusion\Method;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\EssentialOil;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\OwnThing as Read;
use Kettle\Material\Row;
use Kettle\Material\Wax;
use Kettle\Reason\Said;
use Kettle\Recipe\OwnSchools;
use Kettle\Recipe\OwnTold;
use Kettle\Recipe\Planning;

/** What a house enters as its own: what there is to choose from, and what would be told of it. */
final readonly class OwnPage
{
    public function __construct(private Planning $planning, private KitchenFactory $kitchens) {}

    public function choices(): OwnChoices
    {
        $tables = new Cupboard($this->planning->tables());
        $own = $this->planning->tables()->table('own');
        $words = $this->kitchens->words();

        return new OwnChoices(
            array_map(fn (HerbForm $form) => new Choice($form->id, $form->name), array_values($tables->forms())),
            array_map(
                fn (Row $row) => new OwnFamily($row->text('id'), $row->text('name'), $row->text('latin'), $row->texts('traits')),
                array_values($own->rows('families')),
            ),
            array_map(fn (Row $row) => new Choice($row->text('id'), $row->text('name')), array_values($own->rows('concerns'))),
            self::sorted(
                array_map(fn (string $id) => new Choice($id, $words->of(Said::of('own.scent.'.$id))), [
                    ...$tables->scentTraits(),
                    'sunlight',
                ]),
            ),
            self::named($tables->herbs()),
            self::named($tables->carriers()),
            self::named(array_filter($tables->waxes(), fn (Wax $wax) => $wax->hardness !== null)),
            self::named($tables->essentialOils()),
            array_map(fn (Method $method) => new Choice($method->id, $method->name), array_values($this->planning->methods()->all())),
        );
    }

    /**
     * @param  array<mixed>  $fields
     *
     * @throws OwnException
     */
    public function seen(array $fields): OwnSeen
    {
        $own = (new OwnReader($this->planning->cupboard(), custom: $this->kitchens->plain()->custom))->read($fields);
        OwnSchools::check($own, $this->kitchens->plain());

        return new OwnSeen($this->read($own), $this->lacks($own), $this->told($own));
    }

    public function view(OwnThing $thing): OwnView
    {
        $own = (new OwnReader($this->planning->cupboard(), false))->read($thing->fields);

        return new OwnView($thing->slug, $own->fields, $this->read($own), $this->lacks($own), $this->told($own), $thing->version);
    }

    public function ofSlug(string $slug): OwnView
    {
        return $this->view(OwnThing::query()->where('slug', $slug)->firstOrFail());
    }

    /** @return list<string> */
    private function read(Read $own): array
    {
        return array_map($this->kitchens->words()->of(...), OwnTold::read($own, $this->kitchens->plain()));
    }

    /** @return list<string> */
    private function lacks(Read $own): array
    {
        $words = $this->kitchens->words();

        return array_map(fn (string $lack) => $words->of(Said::of('own.lacks.'.$lack)), $own->unknown);
    }

    /** @return list<OwnTells> */
    private function told(Read $own): array
    {
        return array_map(
            fn (array $each) => new OwnTells($each['id'], $each['rank'], $each['says'], $each['why']),
            OwnTold::cautions($own, $this->planning, $this->kitchens->plain()),
        );
    }

    /**
     * @param  array<string, Herb>|array<string, Carrier>|array<string, Wax>|array<string, EssentialOil>  $things
     * @return list<Choice>
     */
    private static function named(array $things): array
    {
        $choices = [];
        foreach ($things as $each) {
            $choices[] = new Choice($each->id, $each->name);
        }

        return self::sorted($choices);
    }

    /**
     * @param  list<Choice>  $choices
     * @return list<Choice>
     */
    private static function sorted(array $choices): array
    {
        usort($choices, fn (Choice $a, Choice $b) => strcoll($a->name, $b->name));

        return $choices;
    }
}
