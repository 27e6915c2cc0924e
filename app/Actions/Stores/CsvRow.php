<?php

namespace App\Actions\Stores;

/** What becomes of a line of a file. */
final readonly class CsvRow
{
    /**
     * @param  'added'|'changed'|'same'|'refused'  $what
     */
    public function __construct(public int $line, public string $what, public string $name, public string $says) {}
}
