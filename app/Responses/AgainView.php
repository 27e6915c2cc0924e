<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A past batch as a wish to make again. */
#[OA\Schema(schema: 'AgainView')]
final readonly class AgainView
{
    /**
     * @param  array<string, mixed>  $wish
     */
    public function __construct(#[OA\Property(ref: '#/components/schemas/Wish')] public array $wish) {}
}
