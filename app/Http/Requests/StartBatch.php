<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A wish to be begun. */
#[
    OA\Schema(
        schema: 'StartBatch',
        required: ['wish'],
        properties: [
            new OA\Property(property: 'wish', ref: '#/components/schemas/Wish'),
            new OA\Property(property: 'origin', type: 'string'),
            new OA\Property(property: 'repeats', type: 'string'),
            new OA\Property(property: 'acknowledged', type: 'array', items: new OA\Items(type: 'string')),
        ],
    ),
]
final class StartBatch extends Form
{
    public function rules(): array
    {
        return [
            'wish' => ['required', 'array'],
            'origin' => ['nullable', 'string', 'max:160'],
            'repeats' => ['nullable', 'string', 'max:26'],
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }
}
