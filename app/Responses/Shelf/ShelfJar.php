<?php

namespace App\Responses\Shelf;

/** A jar as the Shelf draws it: levels in mm, days counted. */
final readonly class ShelfJar
{
    /**
     * @param  list<string>  $colours of the oil, look by look
     * @param  'jar'|'bowl'|'pan'  $kind
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $herb,
        public string $oils,
        public string $stage,
        public string $jar,
        public float $height_mm,
        public float $diameter_mm,
        public string $kind,
        public float $bed_mm,
        public float $level_mm,
        public float $progress,
        public string $days,
        public string $alert,
        public array $colours,
        public string $seen,
    ) {}
}
