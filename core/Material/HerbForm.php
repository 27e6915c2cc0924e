<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** How a dried herb is cut, and so how it lies in a jar. Densities are coarse, g/mL. */
final readonly class HerbForm
{
    public function __construct(
        public string $id,
        public string $name,
        public Density $loose,
        public Density $settled,
        public Density $particle,
        public bool $woody,
        public bool $powder,
    ) {
    }

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            Density::gramsPerMl($row->number('loose')),
            Density::gramsPerMl($row->number('settled')),
            Density::gramsPerMl($row->number('particle')),
            $row->flag('woody'),
            $row->flag('powder'),
        );
    }

    /**
     * The trade's ratio for this form, mL of oil for each gram: the first of 1:5, 1:7 and 1:9 under
     * which the settled bed stays a tenth below the oil, or 1:9 where none does.
     */
    public function usualMlPerGram(): float
    {
        foreach ([5.0, 7.0] as $parts) {
            if ($parts + $this->particle->volumeOf(1.0) > 1.1 * $this->settled->volumeOf(1.0)) {
                return $parts;
            }
        }

        return 9.0;
    }
}
