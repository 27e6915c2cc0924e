<?php

namespace App\Responses\Bench;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** How far a plant has wilted. */
final readonly class WiltingView extends Shape
{
    /**
     * @param  'not yet'|'ready'|'dried'  $verdict
     * @param  float  $water per cent
     * @param  array<string, array<mixed>>  $figures
     */
    public function __construct(
        public string $verdict,
        public string $says,
        public float $water,
        #[Schema(['type' => 'object', 'additionalProperties' => ['$ref' => '#/components/schemas/Figure']])] public array $figures,
    ) {}
}
