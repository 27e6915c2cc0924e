<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** How many of which size are wished for in any case. */
#[
    OA\Schema(
        schema: 'AskFilling',
        properties: [
            new OA\Property(
                property: 'fixed',
                type: 'array',
                items: new OA\Items(
                    required: ['size', 'count'],
                    properties: [new OA\Property(property: 'size', type: 'string'), new OA\Property(property: 'count', type: 'integer')],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'from_stores', type: 'boolean'),
            new OA\Property(property: 'vitamin_e', type: 'string'),
        ],
    ),
]
final class AskFilling extends Form
{
    public function rules(): array
    {
        return [
            'fixed' => ['nullable', 'array', 'max:12'],
            'fixed.*.size' => ['required', 'string', 'max:26'],
            'fixed.*.count' => ['required', 'integer', 'between:0,500'],
            'from_stores' => ['nullable', 'boolean'],
            'vitamin_e' => ['nullable', 'string', 'max:40'],
        ];
    }
}
