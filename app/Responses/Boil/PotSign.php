<?php

namespace App\Responses\Boil;

use App\Responses\Shape;

/** A sign of a pot as it was seen last. */
final readonly class PotSign extends Shape
{
    /**
     * @param  ?string  $is what was seen; null where nobody looked
     * @param  ?string  $when
     * @param  bool  $stale whether it has boiled on since for so long that it says nothing any more
     * @param  bool  $agrees whether by it the oil is done
     */
    public function __construct(
        public string $id,
        public string $says,
        public ?string $is,
        public ?string $when,
        public bool $stale,
        public bool $agrees,
    ) {}
}
