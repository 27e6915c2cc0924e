<?php

namespace App\Responses\Melt;

use App\OpenApi\Schema;
use App\Responses\Recipes\ReadLine;
use App\Responses\Shape;

/** A product's recipe as it was read. */
final readonly class ReadProductView extends Shape
{
    /**
     * @param  array<string, mixed>  $wish
     * @param  list<ReadLine>  $lines
     * @param  list<string>  $notes
     */
    public function __construct(
        public string $name,
        #[Schema(['$ref' => '#/components/schemas/ProductWish'])] public array $wish,
        public array $lines,
        public array $notes,
    ) {}
}
