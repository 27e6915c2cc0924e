<?php

namespace App\Responses\Shelf;

/** One board of the Shelf. */
final readonly class ShelfPart
{
    /**
     * @param  list<ShelfJar>  $jars
     */
    public function __construct(public string $part, public string $name, public int $total, public array $jars, public ?string $next) {}
}
