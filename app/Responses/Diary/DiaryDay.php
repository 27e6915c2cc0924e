<?php

namespace App\Responses\Diary;

use App\Responses\Today\TaskView;

/** A day to come: who is at home, what is warm, what wants doing. */
final readonly class DiaryDay
{
    /**
     * @param  list<DayWhile>  $home
     * @param  list<DiarySession>  $sessions
     * @param  list<TaskView>  $tasks
     * @param  list<WantedOnDay>  $wanted
     */
    public function __construct(
        public string $day,
        public string $text,
        public string $home_text,
        public array $home,
        public array $sessions,
        public array $tasks,
        public array $wanted,
    ) {}
}
