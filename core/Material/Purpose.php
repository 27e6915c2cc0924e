<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What an oil is wanted for, and what is looked for in it. */
final readonly class Purpose
{
    /** @param  array<string, float>  $weights parts by which keeping, feel, state, allergens, scent, price and stock count */
    private function __construct(
        public string $id,
        public string $name,
        public float $feelWanted,
        public bool $liquid,
        public bool $foodOnly,
        public array $weights,
        public string $why,
    ) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->number('feel_wanted'),
            $row->text('room') === 'liquid',
            $row->flag('food_only'),
            $row->numbers('weights'),
            $row->text('why'),
        );
    }
}
