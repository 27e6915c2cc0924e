<?php

namespace App\Responses\Melt;

/** Something that can go into a product. */
final readonly class PartChoice
{
    public function __construct(public string $id, public string $name, public string $note, public string $kind) {}
}
