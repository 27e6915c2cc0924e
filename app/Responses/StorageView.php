<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** How a batch is kept, and until when, with the reasons. */
#[OA\Schema(schema: 'StorageView')]
final readonly class StorageView
{
    /**
     * @param  array<string, mixed>  $best_before a figure
     * @param  list<Choice>  $places
     * @param  list<Choice>  $glasses
     * @param  list<Choice>  $antioxidants
     */
    public function __construct(
        #[OA\Property] public string $place,
        #[OA\Property] public string $glass,
        #[OA\Property] public string $antioxidant,
        #[OA\Property] public string $where,
        #[OA\Property(ref: '#/components/schemas/Figure')] public array $best_before,
        #[OA\Property] public ?string $use_by,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $places,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $glasses,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Choice::class))] public array $antioxidants,
    ) {}
}
