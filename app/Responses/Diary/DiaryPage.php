<?php

namespace App\Responses\Diary;

use App\Responses\Shape;

/** The days to come, what moved, and what stands in the way. */
final readonly class DiaryPage extends Shape
{
    /**
     * @param  list<DiaryDay>  $days
     * @param  list<DiaryMoveView>  $moves
     * @param  list<DiaryTrouble>  $troubles
     * @param  list<AbsenceView>  $absences
     * @param  list<CalendarView>  $calendars
     * @param  list<string>  $notes what of a calendar that was just read was taken for what
     */
    public function __construct(
        public string $from,
        public ?string $before,
        public string $after,
        public array $days,
        public array $moves,
        public array $troubles,
        public array $absences,
        public array $calendars,
        public bool $feed,
        public array $notes = [],
    ) {}
}
