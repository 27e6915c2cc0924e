<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** The days to come, what moved, and what stands in the way. */
#[OA\Schema(schema: 'DiaryPage')]
final readonly class DiaryPage
{
    /**
     * @param  list<DiaryDay>  $days
     * @param  list<DiaryMoveView>  $moves
     * @param  list<DiaryTrouble>  $troubles
     * @param  list<AbsenceView>  $absences
     * @param  list<CalendarView>  $calendars
     */
    public function __construct(
        #[OA\Property] public string $from,
        #[OA\Property] public ?string $before,
        #[OA\Property] public string $after,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiaryDay::class))] public array $days,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiaryMoveView::class))] public array $moves,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiaryTrouble::class))] public array $troubles,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AbsenceView::class))] public array $absences,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CalendarView::class))] public array $calendars,
        #[OA\Property] public bool $feed,
    ) {}
}
