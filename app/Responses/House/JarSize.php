<?php

namespace App\Responses\House;

/** A jar size, a bowl or a pan on the house's list. */
final readonly class JarSize
{
    /**
     * @param  'jar'|'bowl'|'pan'  $kind
     */
    public function __construct(
        public string $id,
        public string $called,
        public float $height_mm,
        public float $diameter_mm,
        public string $text,
        public string $kind,
    ) {}
}
