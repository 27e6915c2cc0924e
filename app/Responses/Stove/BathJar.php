<?php

namespace App\Responses\Stove;

/** A jar standing in a cooker, mm from the middle of its floor. */
final readonly class BathJar
{
    public function __construct(
        public string $called,
        public float $x,
        public float $y,
        public float $d,
        public float $height,
        public float $level,
        public float $bed,
    ) {}
}
