<?php

namespace App\Responses\Melt;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** What mends a pot that is too soft or too hard. */
final readonly class MendView extends Shape
{
    /**
     * @param  array<string, mixed>  $figures add_wax, add_oil, take_out, total_mass, firmness
     * @param  string  $from the word for how firm it is
     * @param  string  $to and for how firm it gets
     * @param  float  $firmness it gets
     */
    public function __construct(
        #[Schema(['type' => 'object', 'additionalProperties' => ['$ref' => '#/components/schemas/Figure']])] public array $figures,
        public string $from,
        public string $to,
        public float $firmness,
    ) {}
}
