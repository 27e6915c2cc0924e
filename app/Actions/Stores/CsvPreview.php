<?php

namespace App\Actions\Stores;

use App\Responses\Shape;

/** What a file would do to Stores, or has done. */
final readonly class CsvPreview extends Shape
{
    /**
     * @param  list<CsvRow>  $rows
     * @param  list<string>  $notes
     */
    public function __construct(
        public bool $done,
        public int $added,
        public int $changed,
        public int $same,
        public int $refused,
        public array $rows,
        public array $notes,
        public string $says,
    ) {}
}
