<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** What goes into a product that is neither oil, wax nor scent: grains, powders, spent herb, water and what holds it. */
final readonly class Addition
{
    public const WATER = 'water';

    public const EMULSIFIER = 'emulsifier';

    public const PRESERVATIVE = 'preservative';

    public const SPENT_HERB = 'spent-herb';

    /**
     * @param  Density  $density by the room it takes in the oil
     * @param  ?Density  $bulk as a cup of it weighs
     * @param  float  $months opened, kept as it should be
     * @param  list<string>  $allergens
     * @param  ?float  $usualPercent by weight of the whole
     */
    private function __construct(
        public string $id,
        public string $name,
        public OilNames $names,
        public string $kind,
        public Density $density,
        public ?Density $bulk,
        public float $months,
        public bool $foodGradeExists,
        public array $allergens,
        public ?float $usualPercent,
        public string $note,
    ) {}

    public static function fromRow(Row $row): self
    {
        $bulk = $row->numberOrNull('bulk_g_per_ml');

        return new self(
            $row->text('id'),
            $row->text('name'),
            new OilNames($row->text('inci'), $row->texts('also')),
            $row->text('kind'),
            Density::gramsPerMl($row->number('g_per_ml')),
            $bulk === null ? null : Density::gramsPerMl($bulk),
            $row->number('months'),
            $row->flag('food_grade_exists'),
            $row->texts('allergens'),
            $row->numberOrNull('usual_percent'),
            $row->text('note'),
        );
    }

    /** @return array{addition: string} its name as a sentence keeps it */
    public function said(): array
    {
        return ['addition' => $this->id];
    }
}
