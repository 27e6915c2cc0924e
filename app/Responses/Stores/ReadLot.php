<?php

namespace App\Responses\Stores;

/** A lot as it was read from a line. */
final readonly class ReadLot
{
    /**
     * @param  array<string, string>  $lot fields, as they are sent to be taken in
     * @param  list<ReadCell>  $cells what was understood
     * @param  list<string>  $faults what is in the way, in sentences
     */
    public function __construct(public string $line, public array $lot, public array $cells, public array $faults) {}
}
