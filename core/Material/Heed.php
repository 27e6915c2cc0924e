<?php

declare(strict_types=1);

namespace Kettle\Material;

/** Whom an oil is for, or what it is to be without: what that bars, and what it leaves in doubt. */
final readonly class Heed
{
    /**
     * @param  list<string>  $allergens words that bar what has one of them in an allergen's name
     * @param  list<string>  $traits of a plant, that bar it
     * @param  list<string>  $onSkin traits that bar it where it is rubbed in or breathed, and leave it in doubt where it is eaten
     * @param  bool  $food whether what is no food is barred
     * @param  bool  $asked whether what nobody has looked up is barred
     * @param  string  $person of data/melt.json, whose limits for scents hold with it; empty where it is nobody in particular
     * @param  list<string>  $doubt ids of oils that not everybody counts as barred
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $detail,
        private array $allergens,
        private array $traits,
        private array $onSkin,
        private bool $food,
        private bool $asked,
        private array $doubt,
        public string $person,
    ) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('detail'),
            $row->texts('allergens'),
            $row->texts('traits'),
            $row->texts('on_skin'),
            $row->flag('food'),
            $row->flag('asked'),
            $row->texts('doubt'),
            $row->text('person'),
        );
    }

    /** @param  bool  $eaten what a kitchen uses of a plant is less, and is known to it */
    public function barsHerb(Herb $plant, bool $eaten): bool
    {
        return array_intersect($eaten ? $this->traits : [...$this->traits, ...$this->onSkin], $plant->traits) !== [] ||
            ($this->food && ! $plant->kitchen) ||
            ($this->asked && ($plant->own === Herb::UNASKED || $plant->id === ''));
    }

    public function barsOil(Carrier $oil): bool
    {
        return $this->barsPart($oil->food->allergens, $oil->food->gradeExists);
    }

    /**
     * Of anything that goes into a pot.
     *
     * @param  list<string>  $allergens as they stand on it
     * @param  bool  $food whether it is to be had in food grade
     */
    public function barsPart(array $allergens, bool $food): bool
    {
        return $this->barsAllergens($allergens) || ($this->food && ! $food);
    }

    /** @param  list<string>  $allergens as they stand on it */
    private function barsAllergens(array $allergens): bool
    {
        foreach ($allergens as $each) {
            foreach ($this->allergens as $barred) {
                if (str_contains(mb_strtolower($each), $barred)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether nobody can say of an oil that it is well: not everybody counts it so, or nobody has said what it may do. */
    public function doubtsOil(Carrier $oil): bool
    {
        return in_array($oil->id, $this->doubt, true) || ($this->allergens !== [] && in_array('allergens', $oil->unknown, true));
    }

    /** Whether a plant that is not barred might be: nobody has said what it may do, or it is so only where it is not eaten. */
    public function doubtsHerb(Herb $plant, bool $eaten): bool
    {
        $unasked = $plant->own === Herb::UNASKED || $plant->id === '';

        return ! $this->barsHerb($plant, $eaten) &&
            (array_intersect($this->onSkin, $plant->traits) !== [] || ($unasked && $this->traits !== []));
    }
}
