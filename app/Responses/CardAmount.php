<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What goes in: a herb by weight, an oil by volume and by weight. */
#[OA\Schema(schema: 'CardAmount')]
final readonly class CardAmount
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $amount,
        #[OA\Property(description: 'The same by weight, where it is measured; else empty.')] public string $also,
    ) {}
}
