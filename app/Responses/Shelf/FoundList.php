<?php

namespace App\Responses\Shelf;

use App\Responses\Shape;

/** What the find box reached. */
final readonly class FoundList extends Shape
{
    /**
     * @param  list<Found>  $found
     * @param  ?string  $meant the name that was sought instead, where nothing goes by what was typed
     */
    public function __construct(public array $found, public ?string $meant = null) {}
}
