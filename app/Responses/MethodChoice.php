<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A method to choose, with its schools. */
#[OA\Schema(schema: 'MethodChoice')]
final readonly class MethodChoice
{
    /**
     * @param  list<SchoolChoice>  $schools
     * @param  list<string>  $vessels what it is done in: jar, bowl or pan, the usual first
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $heated,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SchoolChoice::class))] public array $schools,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $vessels,
    ) {}
}
