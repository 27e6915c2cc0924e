<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A lot as it stands. */
#[OA\Schema(schema: 'LotView')]
final readonly class LotView
{
    /**
     * @param  list<string>  $allergens
     * @param  list<string>  $why
     * @param  string  $what the material and how it lies, in words
     * @param  string  $got how, where and when it was got, in words
     * @param  float  $share_left of what was got
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(enum: ['herb', 'carrier', 'wax', 'jar', 'bottle'])] public string $kind,
        #[OA\Property] public string $material,
        #[OA\Property] public string $called,
        #[OA\Property] public string $what,
        #[OA\Property] public ?string $form,
        #[OA\Property] public ?string $state,
        #[OA\Property] public string $left_text,
        #[OA\Property] public string $got_text,
        #[OA\Property] public string $unit,
        #[OA\Property] public bool $low,
        #[OA\Property] public ?string $low_text,
        #[OA\Property] public ?string $price_text,
        #[OA\Property] public string $got,
        #[OA\Property] public ?string $got_on,
        #[OA\Property] public ?string $opened_on,
        #[OA\Property] public ?string $best_before,
        #[OA\Property] public bool $food_grade,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $allergens,
        #[OA\Property(enum: ['sound', 'ageing', 'past'])] public string $condition,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $why,
        #[OA\Property] public float $left,
        #[OA\Property] public float $share_left,
        #[OA\Property] public int $version,
    ) {}
}
