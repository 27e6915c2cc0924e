<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A sheet or roll of labels. */
#[OA\Schema(schema: 'LabelSize')]
final readonly class LabelSize
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(enum: ['sheet', 'roll', 'tag'])] public string $paper,
        #[OA\Property] public float $w_mm,
        #[OA\Property] public float $h_mm,
        #[OA\Property] public int $columns,
        #[OA\Property] public int $rows,
        #[OA\Property] public bool $round,
    ) {}
}
