<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Answers of a guided check, by question. */
#[OA\Schema(schema: 'CheckLot', required: ['answers'], properties: [new OA\Property(property: 'answers', type: 'object')])]
final class CheckLot extends Form
{
    public function rules(): array
    {
        return [
            'answers' => ['required', 'array'],
        ];
    }
}
