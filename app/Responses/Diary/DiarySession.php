<?php

namespace App\Responses\Diary;

/** A cooker warm with some batches, in the days to come. */
final readonly class DiarySession
{
    /**
     * @param  list<string>  $batches none where it is a pot that is boiled down
     * @param  ?string  $boil id of that pot
     */
    public function __construct(
        public string $cooker,
        public string $herbs,
        public array $batches,
        public ?string $task,
        public float $from,
        public float $to,
        public string $text,
        public bool $on,
        public ?string $boil = null,
    ) {}
}
