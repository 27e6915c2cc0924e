<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** A wax, a hard butter, or an additive. Melting range in degrees C; hardness as parts of beeswax that one part stands for. */
final readonly class Wax
{
    /**
     * @param  list<string>  $allergens
     * @param  float  $months opened, cool and dark
     * @param  ?float  $fusionJPerG heat of fusion, J/g; null for what does not melt
     * @param  ?float  $gramsPerMol mean molar mass
     * @param  ?Density  $pellets as a cup of pellets or powder weighs
     * @param  list<string>  $also other names it goes by
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $kind,
        public ?float $meltsFromC,
        public ?float $meltsToC,
        public ?float $hardness,
        public float $gramsPerMl,
        public array $allergens,
        public string $note,
        public string $inci,
        public float $months,
        public bool $foodGradeExists,
        public ?float $fusionJPerG,
        public ?float $gramsPerMol,
        public ?Density $pellets,
        public array $also = [],
    ) {}

    public static function fromRow(Row $row): self
    {
        $melts = $row->rowOrNull('melts_c');
        $pellets = $row->numberOrNull('pellets_g_per_ml');

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('kind'),
            $melts?->number('low'),
            $melts?->number('high'),
            $row->numberOrNull('hardness'),
            $row->number('density_solid'),
            $row->texts('allergens'),
            $row->text('note'),
            $row->text('inci'),
            $row->number('months'),
            $row->flag('food_grade_exists'),
            $row->numberOrNull('fusion_j_per_g'),
            $row->numberOrNull('g_per_mol'),
            $pellets === null ? null : Density::gramsPerMl($pellets),
            $row->texts('also'),
        );
    }

    /**
     * One of a house's own; what cannot be asked of a cook is that of the one it is like.
     *
     * @param  array{float, float}  $meltsC
     * @param  list<string>  $allergens
     * @param  array{float, float}  $fusion J/g and g/mol: never none, for what melts is hot and burns
     */
    public static function own(
        string $id,
        string $name,
        string $kind,
        array $meltsC,
        float $hardness,
        float $gramsPerMl,
        array $allergens,
        string $note,
        string $inci,
        float $months,
        bool $food,
        array $fusion,
        ?Density $pellets,
    ): self {
        return new self(
            $id,
            $name,
            $kind,
            $meltsC[0],
            $meltsC[1],
            $hardness,
            $gramsPerMl,
            $allergens,
            $note,
            $inci,
            $months,
            $food,
            $fusion[0],
            $fusion[1],
            $pellets,
        );
    }

    /** @return array{wax: string} its name as a sentence keeps it */
    public function said(): array
    {
        return ['wax' => $this->id];
    }
}
