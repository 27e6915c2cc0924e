<?php

namespace App\Responses\Stove;

/** A thermometer of the house. */
final readonly class ProbeView
{
    public function __construct(
        public string $id,
        public string $called,
        public string $kind,
        public string $kind_text,
        public bool $busy,
    ) {}
}
