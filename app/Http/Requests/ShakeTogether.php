<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Several jars turned over at once. */
#[
    OA\Schema(
        schema: 'ShakeTogether',
        required: ['batches'],
        properties: [new OA\Property(property: 'batches', type: 'array', items: new OA\Items(type: 'string'))],
    ),
]
final class ShakeTogether extends Form
{
    public function rules(): array
    {
        return [
            'batches' => ['required', 'array', 'min:1', 'max:60'],
            'batches.*' => ['string', 'max:26'],
        ];
    }
}
