<?php

namespace App\Responses\Today;

/** One thing to do, in words. */
final readonly class TaskView
{
    /**
     * @param  bool  $danger Past the hours it may be used: it is thrown away.
     */
    public function __construct(
        public string $key,
        public string $step,
        public string $place,
        public string $batch,
        public string $code,
        public string $title,
        public string $detail,
        public string $due_at,
        public string $due_text,
        public bool $overdue,
        public bool $open,
        public bool $waiting,
        public bool $danger,
        public bool $skippable,
        public bool $at_press,
        public int $minutes,
    ) {}
}
