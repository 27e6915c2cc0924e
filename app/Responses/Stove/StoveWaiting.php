<?php

namespace App\Responses\Stove;

use App\Responses\Choice;

/** Jars that want warmth. */
final readonly class StoveWaiting
{
    /**
     * @param  list<Choice>  $water how far up it may go, the usual first; one where the method leaves no choice
     * @param  'hand-hot'|'cold'  $poured hand-hot or cold: how the water is poured in, where nobody said
     * @param  list<string>  $cookers those its method is done in
     */
    public function __construct(
        public string $batch,
        public string $code,
        public string $herb,
        public string $jar,
        public string $method,
        public string $warmth_text,
        public string $left_text,
        public string $when_text,
        public bool $ready,
        public ?string $cooker,
        public ?string $says,
        public array $water,
        public string $poured,
        public array $cookers,
    ) {}
}
