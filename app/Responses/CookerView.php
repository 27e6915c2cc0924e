<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A cooker of the house. */
#[OA\Schema(schema: 'CookerView')]
final readonly class CookerView
{
    /**
     * @param  list<string>  $methods
     * @param  list<CookerSetting>  $settings
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $called,
        #[OA\Property] public string $shape,
        #[OA\Property] public string $size_text,
        #[OA\Property] public float $length_mm,
        #[OA\Property] public float $width_mm,
        #[OA\Property] public float $height_mm,
        #[OA\Property] public string $methods_text,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $methods,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CookerSetting::class))] public array $settings,
        #[OA\Property] public string $loss_text,
        #[OA\Property] public ?string $learned_text,
        #[OA\Property] public bool $in_use,
    ) {}
}
