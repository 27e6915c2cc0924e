<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A page of Stores. */
#[OA\Schema(schema: 'StoresPage')]
final readonly class StoresPage
{
    /**
     * @param  list<LotKindTab>  $kinds
     * @param  list<LotView>  $lots
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LotKindTab::class))] public array $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LotView::class))] public array $lots,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
    ) {}
}
