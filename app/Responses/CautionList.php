<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** Cautions that hold together, the weightiest first. */
#[OA\Schema(schema: 'CautionList')]
final readonly class CautionList
{
    /** @param  list<CautionView>  $cautions */
    public function __construct(#[OA\Property(type: 'array', items: new OA\Items(ref: CautionView::class))] public array $cautions) {}
}
