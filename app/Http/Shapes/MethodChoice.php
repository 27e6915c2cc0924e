<?php

namespace App\Http\Shapes;

use OpenApi\Attributes as OA;

/** A method to choose, with its schools. */
#[OA\Schema(schema: 'MethodChoice')]
final readonly class MethodChoice
{
    /**
     * @param  list<SchoolChoice>  $schools
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public bool $heated,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SchoolChoice::class))]
        public array $schools,
    ) {
    }
}
