<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A recipe as it was read. */
#[OA\Schema(schema: 'ReadRecipeView')]
final readonly class ReadRecipeView
{
    /**
     * @param  array<string, mixed>  $wish
     * @param  list<ReadLine>  $lines
     * @param  list<string>  $notes
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $note,
        #[OA\Property(ref: '#/components/schemas/Wish')] public array $wish,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadLine::class))] public array $lines,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $notes,
    ) {}
}
