<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A line of a label. */
#[OA\Schema(schema: 'LabelLine')]
final readonly class LabelLine
{
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public string $text) {}
}
