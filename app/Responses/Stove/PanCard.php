<?php

namespace App\Responses\Stove;

use App\Responses\Choice;

/** A pan on the flame, or one that is to go on it. */
final readonly class PanCard
{
    /**
     * @param  ?string  $task what is to be done next at the flame: its key for the batch's tasks; null until it is filled
     * @param  ?string  $stir key of the stirring that is due, or will be
     * @param  list<Choice>  $signs by which it is done
     */
    public function __construct(
        public string $batch,
        public string $code,
        public string $herb,
        public string $pan,
        public bool $on,
        public ?string $task,
        public ?string $stir,
        public string $state_text,
        public string $stir_text,
        public string $warmth_text,
        public string $when_text,
        public string $after_text,
        public array $signs,
    ) {}
}
