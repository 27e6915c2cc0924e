<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What there is to do where one stands. */
#[OA\Schema(schema: 'PlaceGroup')]
final readonly class PlaceGroup
{
    /**
     * @param  list<TaskView>  $tasks
     */
    public function __construct(
        #[OA\Property] public string $place,
        #[OA\Property] public string $name,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TaskView::class))] public array $tasks,
    ) {}
}
