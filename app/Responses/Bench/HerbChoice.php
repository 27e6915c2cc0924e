<?php

namespace App\Responses\Bench;

/** A herb to choose. */
final readonly class HerbChoice
{
    /**
     * @param  'dried'|'wilted'|'fresh'  $best
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $latin,
        public string $part,
        public string $form,
        public bool $kitchen,
        public string $best,
        public string $note,
    ) {}
}
