<?php

namespace App\Responses\Stove;

/** The jars of one batch in a session. */
final readonly class StoveJarView
{
    public function __construct(
        public string $batch,
        public string $code,
        public string $herb,
        public string $jar,
        public string $had_text,
        public string $planned_text,
        public float $share,
        public string $done_text,
        public bool $out,
    ) {}
}
