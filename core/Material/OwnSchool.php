<?php

declare(strict_types=1);

namespace Kettle\Material;

/** Hours and warmth that a house goes by in a way of infusing, under a name of its own; as they were written. */
final readonly class OwnSchool
{
    public function __construct(
        public string $id,
        public string $name,
        public string $method,
        public string $hours,
        public string $warmth,
    ) {}
}
