<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A setting of a cooker. */
#[OA\Schema(schema: 'CookerSetting')]
final readonly class CookerSetting
{
    public function __construct(#[OA\Property] public string $name, #[OA\Property] public string $text) {}
}
