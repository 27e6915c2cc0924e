<?php

declare(strict_types=1);

namespace Kettle\Material;

/** A wax, a hard butter, or an additive. Melting range in degrees C; hardness as parts of beeswax that one part stands for. */
final readonly class Wax
{
    /** @param  list<string>  $allergens */
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
    ) {}

    public static function fromRow(Row $row): self
    {
        $melts = $row->rowOrNull('melts_c');

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
        );
    }
}
