<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** How many bottles of which sizes. */
#[
    OA\Schema(
        schema: 'Bottle',
        required: ['bottles'],
        properties: [
            new OA\Property(
                property: 'bottles',
                type: 'array',
                items: new OA\Items(
                    required: ['size', 'count'],
                    properties: [new OA\Property(property: 'size', type: 'string'), new OA\Property(property: 'count', type: 'integer')],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'note', type: 'string'),
            new OA\Property(property: 'place', type: 'string'),
            new OA\Property(property: 'glass', type: 'string'),
            new OA\Property(property: 'antioxidant', type: 'string'),
            new OA\Property(property: 'where', type: 'string'),
            new OA\Property(property: 'from_stores', type: 'boolean'),
        ],
    ),
]
final class Bottle extends Form
{
    public function rules(): array
    {
        return [
            'bottles' => ['required', 'array', 'min:1', 'max:40'],
            'note' => ['nullable', 'string', 'max:5000'],
            'place' => ['nullable', 'string', 'max:40'],
            'glass' => ['nullable', 'string', 'max:40'],
            'antioxidant' => ['nullable', 'string', 'max:40'],
            'where' => ['nullable', 'string', 'max:120'],
            'from_stores' => ['nullable', 'boolean'],
            'bottles.*.size' => ['required', 'string', 'max:26'],
            'bottles.*.count' => ['required', 'integer', 'between:0,500'],
        ];
    }
}
