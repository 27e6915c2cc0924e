<?php

namespace App\Responses\Boil;

use App\OpenApi\Schema;
use App\Responses\Shape;

/** What to watch for. */
final readonly class BoilNote extends Shape
{
    public function __construct(
        public string $id,
        #[Schema(['type' => 'string', 'enum' => ['stop', 'care', 'note']])] public string $rank,
        public string $says,
        public bool $must_read = false,
    ) {}
}
