<?php

namespace App\Responses\Bench;

/** A herb that was looked for: what there is of it here first, then what was used lately. */
final readonly class FoundHerb
{
    /**
     * @param  string  $id empty of one that only Stores knows, which goes by its name
     * @param  string  $form how it comes
     * @param  string  $says by which other name it was found, and what is to be known of it
     * @param  bool  $here whether Stores has some
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $part,
        public string $form,
        public string $says,
        public bool $here,
    ) {}
}
