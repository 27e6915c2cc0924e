<?php

namespace App\Responses\Shelf;

/** Something the find box reached. */
final readonly class Found
{
    public function __construct(public string $kind, public string $name, public string $detail, public string $path) {}
}
