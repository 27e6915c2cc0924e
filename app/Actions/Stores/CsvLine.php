<?php

namespace App\Actions\Stores;

use App\Models\Lot;

/** A line of a file, read and not yet taken in. */
final readonly class CsvLine
{
    /**
     * @param  'added'|'changed'|'same'|'refused'  $what
     * @param  string  $says why it is refused, or what was taken for what
     * @param  array<string, string>  $fields as the lot is to be written
     * @param  string  $twin what another lot like it has too
     * @param  ?float  $left in the lot's own unit, where it is not what it would be without being counted
     */
    public function __construct(
        public int $line,
        public string $what,
        public string $name,
        public string $says = '',
        public array $fields = [],
        public ?float $left = null,
        public ?Lot $lot = null,
        public string $twin = '',
    ) {}

    public function saying(string $more): self
    {
        return new self(
            $this->line,
            $this->what,
            $this->name,
            trim($this->says.' '.$more),
            $this->fields,
            $this->left,
            $this->lot,
            $this->twin,
        );
    }

    public function row(): CsvRow
    {
        return new CsvRow($this->line, $this->what, $this->name, $this->says);
    }
}
