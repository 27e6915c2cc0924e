<?php

namespace App\Responses;

use Kettle\Vessel\Jar;
use OpenApi\Attributes as OA;

/** A jar as the Shelf draws it: levels in mm, days counted. */
#[OA\Schema(schema: 'ShelfJar')]
final readonly class ShelfJar
{
    /** @param  list<string>  $colours of the oil, look by look */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $code,
        #[OA\Property] public string $herb,
        #[OA\Property] public string $oils,
        #[OA\Property] public string $stage,
        #[OA\Property] public string $jar,
        #[OA\Property] public float $height_mm,
        #[OA\Property] public float $diameter_mm,
        #[OA\Property(enum: Jar::KINDS)] public string $kind,
        #[OA\Property] public float $bed_mm,
        #[OA\Property] public float $level_mm,
        #[OA\Property] public float $progress,
        #[OA\Property] public string $days,
        #[OA\Property] public string $alert,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $colours,
        #[OA\Property] public string $seen,
    ) {}
}
