<?php

namespace App\Http\Shapes;

use OpenApi\Attributes as OA;

/** Jars that want warmth. */
#[OA\Schema(schema: 'StoveWaiting')]
final readonly class StoveWaiting
{
    public function __construct(
        #[OA\Property]
        public string $batch,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $herb,
        #[OA\Property]
        public string $jar,
        #[OA\Property]
        public string $method,
        #[OA\Property]
        public string $warmth_text,
        #[OA\Property]
        public string $left_text,
        #[OA\Property]
        public string $when_text,
        #[OA\Property]
        public bool $ready,
        #[OA\Property]
        public ?string $cooker,
        #[OA\Property]
        public ?string $says,
    ) {
    }
}
