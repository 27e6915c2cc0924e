<?php

namespace App\Responses\Bench;

/** An oil to choose. */
final readonly class OilChoice
{
    /**
     * @param  list<string>  $allergens
     */
    public function __construct(public string $id, public string $name, public string $note, public array $allergens) {}
}
