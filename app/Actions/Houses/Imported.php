<?php

namespace App\Actions\Houses;

use App\Responses\Shape;

/** What an import brought in. */
final readonly class Imported extends Shape
{
    public function __construct(
        public int $batches,
        public int $entries,
        public int $jars,
        public int $bottles,
        public int $already_here,
        public int $lots,
        public int $recipes,
        public string $says,
    ) {}
}
