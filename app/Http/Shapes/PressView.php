<?php

namespace App\Http\Shapes;

use OpenApi\Attributes as OA;

/** What was expected and what came out. */
#[OA\Schema(schema: 'PressView')]
final readonly class PressView
{
    /**
     * @param  list<FillLine>  $suggested
     */
    public function __construct(
        #[OA\Property]
        public string $expected,
        #[OA\Property]
        public string $expected_range,
        #[OA\Property]
        public float $low_ml,
        #[OA\Property]
        public float $expected_ml,
        #[OA\Property]
        public float $high_ml,
        #[OA\Property]
        public float $oil_in_ml,
        #[OA\Property]
        public ?float $strained_ml,
        #[OA\Property]
        public ?string $strained,
        #[OA\Property]
        public ?string $typed,
        #[OA\Property]
        public ?string $verdict,
        #[OA\Property]
        public ?string $says,
        #[OA\Property]
        public string $advice,
        #[OA\Property]
        public ?string $settled_at,
        #[OA\Property]
        public bool $settled,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FillLine::class))]
        public array $suggested,
        #[OA\Property]
        public ?string $left,
    ) {
    }
}
