<?php

namespace App\Responses\Making;

/** What went into it, of this house's bottles and Stores. */
final readonly class FromView
{
    /** @param  'batch'|'boil'|'lot'  $kind */
    public function __construct(public string $kind, public string $id, public string $name, public string $amount_text) {}
}
