<?php

namespace App\Responses\Press;

/** A sheet or roll of labels. */
final readonly class LabelSize
{
    /**
     * @param  'sheet'|'roll'|'tag'  $paper
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $paper,
        public float $w_mm,
        public float $h_mm,
        public int $columns,
        public int $rows,
        public bool $round,
    ) {}
}
