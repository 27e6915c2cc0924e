<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** How what is bottled smells and looks, by question. */
#[
    OA\Schema(
        schema: 'CheckBottles',
        required: ['answers'],
        properties: [new OA\Property(property: 'answers', type: 'object'), new OA\Property(property: 'note', type: 'string')],
    ),
]
final class CheckBottles extends Form
{
    public function rules(): array
    {
        return [
            'answers' => ['required', 'array', 'max:12'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
