<?php

namespace App\Responses\Recipes;

/** A recipe in the list. */
final readonly class RecipeLine
{
    public function __construct(
        public string $id,
        public string $name,
        public string $sentence,
        public int $version,
        public string $changed,
    ) {}
}
