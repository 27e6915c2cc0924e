<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What rules ask of a form, as data/forms.json has it. */
final readonly class FormTraits
{
    /**
     * @param  bool  $woody gives up its own slowly
     * @param  bool  $powder runs through a cloth, and settles for days
     * @param  bool  $fluffy lies so light that little goes into a jar
     */
    private function __construct(public bool $woody, public bool $powder, public bool $fluffy) {}

    public static function fromRow(Row $row): self
    {
        return new self($row->flag('woody'), $row->flag('powder'), $row->flag('fluffy'));
    }
}
