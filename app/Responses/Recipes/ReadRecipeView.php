<?php

namespace App\Responses\Recipes;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** A recipe as it was read. */
final readonly class ReadRecipeView extends Shape
{
    /**
     * @param  array<string, mixed>  $wish
     * @param  list<ReadLine>  $lines
     * @param  list<string>  $notes
     */
    public function __construct(
        public string $name,
        public string $note,
        #[Schema(['$ref' => '#/components/schemas/AnyWish'])] public array $wish,
        public array $lines,
        public array $notes,
    ) {}
}
