<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A lot, its history, and what a check of it asks. */
#[OA\Schema(schema: 'LotDetail')]
final readonly class LotDetail
{
    /**
     * @param  array<string, string>  $fields as they would be typed
     * @param  list<MoveView>  $moves
     * @param  list<CheckView>  $checks
     * @param  list<AskView>  $asks
     */
    public function __construct(
        #[OA\Property(ref: LotView::class)] public LotView $lot,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $fields,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MoveView::class))] public array $moves,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckView::class))] public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AskView::class))] public array $asks,
    ) {}
}
