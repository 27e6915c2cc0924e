<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Measure\Density;

/** How a herb lies: tipped into a jar, settled under oil, and the stuff itself. Coarse, g/mL. */
final readonly class Bulk
{
    private function __construct(public Density $loose, public Density $settled, public Density $particle) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            Density::gramsPerMl($row->number('loose')),
            Density::gramsPerMl($row->number('settled')),
            Density::gramsPerMl($row->number('particle')),
        );
    }
}
