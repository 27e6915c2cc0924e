<?php

namespace App\Http\Shapes;

use OpenApi\Attributes as OA;

/** A filled bottle. */
#[OA\Schema(schema: 'BottleView')]
final readonly class BottleView
{
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $called,
        #[OA\Property]
        public string $filled,
    ) {
    }
}
