<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** An answer to choose. */
#[OA\Schema(schema: 'AnswerChoice')]
final readonly class AnswerChoice
{
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public string $says) {}
}
