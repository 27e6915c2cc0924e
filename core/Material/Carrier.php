<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** A carrier oil or hard fat. Its density is at 20 C. */
final readonly class Carrier
{
    /**
     * @param  ?FattyAcids  $fattyAcids null for a wax ester
     * @param  OilLife  $months cool and dark
     * @param  ?float  $publishedIodineValue middle of the published range, for a wax ester that has no other
     * @param  list<string>  $unknown what nobody has said of one of a house's own: density, sets, months, fats, allergens, food
     */
    public function __construct(
        public string $id,
        public string $name,
        public OilNames $names,
        public ?FattyAcids $fattyAcids,
        public Density $at20,
        public float $setsBelowC,
        public OilLife $months,
        public OilFeel $feel,
        public OilAsFood $food,
        private ?float $publishedIodineValue,
        public string $note,
        public array $unknown = [],
    ) {}

    public static function fromRow(Row $row): self
    {
        $density = $row->row('density');
        $published = $row->rowOrNull('published_iodine_value');
        $at20 = $density->number('g_per_ml') + Density::OIL_SLOPE * ($density->number('at_c') - 20.0);

        return new self(
            $row->text('id'),
            $row->text('name'),
            new OilNames($row->text('inci'), $row->texts('also')),
            $row->rowOrNull('fatty_acids') === null ? null : new FattyAcids($row->numbers('fatty_acids')),
            Density::gramsPerMl($at20),
            $row->number('sets_below_c'),
            new OilLife($row->row('months')->number('unopened'), $row->row('months')->number('opened')),
            new OilFeel((int) $row->number('feel'), (int) $row->number('scent')),
            new OilAsFood($row->flag('food_grade_exists'), $row->texts('allergens')),
            $published === null ? null : ($published->number('low') + $published->number('high')) / 2,
            $row->text('note'),
        );
    }

    /** @return array{oil: string} its name as a sentence keeps it */
    public function said(): array
    {
        return ['oil' => $this->id];
    }

    /** Of its fatty acids; null for a wax ester. */
    public function iodineValue(): ?float
    {
        return $this->fattyAcids?->iodineValue();
    }

    /** The computed iodine value, or for a wax ester the middle of the published range. */
    public function iodineValueOrPublished(): ?float
    {
        return $this->iodineValue() ?? $this->publishedIodineValue;
    }

    /** How fast its fats take up oxygen, oleic acid being 1; null for a wax ester. */
    public function oxidisability(): ?float
    {
        return $this->fattyAcids?->oxidisability();
    }
}
