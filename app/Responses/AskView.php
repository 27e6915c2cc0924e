<?php

namespace App\Responses;

use OpenApi\Attributes as OA;

/** A question of a guided check. */
#[OA\Schema(schema: 'AskView')]
final readonly class AskView
{
    /**
     * @param  list<AnswerChoice>  $answers
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $asks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AnswerChoice::class))] public array $answers,
    ) {}
}
