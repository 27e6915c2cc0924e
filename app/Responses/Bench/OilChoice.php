<?php

namespace App\Responses\Bench;

/** An oil to choose. */
final readonly class OilChoice
{
    public function __construct(public string $id, public string $name, public string $note) {}
}
