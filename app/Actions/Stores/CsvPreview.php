<?php

namespace App\Actions\Stores;

use OpenApi\Attributes as OA;

/** What a file would do to Stores, or has done. */
#[OA\Schema(schema: 'CsvPreview')]
final readonly class CsvPreview
{
    /**
     * @param  list<CsvRow>  $rows
     * @param  list<string>  $notes
     */
    public function __construct(
        #[OA\Property] public bool $done,
        #[OA\Property] public int $added,
        #[OA\Property] public int $changed,
        #[OA\Property] public int $same,
        #[OA\Property] public int $refused,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CsvRow::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $notes,
        #[OA\Property] public string $says,
    ) {}
}
