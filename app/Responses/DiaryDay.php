<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A day to come: who is at home, what is warm, what wants doing. */
#[OA\Schema(schema: 'DiaryDay')]
final readonly class DiaryDay
{
    /**
     * @param  list<DayWhile>  $home
     * @param  list<DiarySession>  $sessions
     * @param  list<TaskView>  $tasks
     */
    public function __construct(
        #[OA\Property] public string $day,
        #[OA\Property] public string $text,
        #[OA\Property] public string $home_text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayWhile::class))] public array $home,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiarySession::class))] public array $sessions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TaskView::class))] public array $tasks,
    ) {}
}
