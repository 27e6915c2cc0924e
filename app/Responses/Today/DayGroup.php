<?php

namespace App\Responses\Today;

/** What comes on a day. */
final readonly class DayGroup
{
    /**
     * @param  list<TaskView>  $tasks
     */
    public function __construct(public string $day, public string $text, public array $tasks) {}
}
