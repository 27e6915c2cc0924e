<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** What comes on a day. */
#[OA\Schema(schema: 'DayGroup')]
final readonly class DayGroup
{
    /**
     * @param  list<TaskView>  $tasks
     */
    public function __construct(
        #[OA\Property] public string $day,
        #[OA\Property] public string $text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TaskView::class))] public array $tasks,
    ) {}
}
