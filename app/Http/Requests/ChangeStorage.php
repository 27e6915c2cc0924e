<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Where a batch stands, in what glass, with what in it. */
#[
    OA\Schema(
        schema: 'Keep',
        properties: [
            new OA\Property(property: 'place', type: 'string'),
            new OA\Property(property: 'glass', type: 'string'),
            new OA\Property(property: 'antioxidant', type: 'string'),
            new OA\Property(property: 'where', type: 'string'),
        ],
    ),
]
final class ChangeStorage extends Form
{
    public function rules(): array
    {
        return [
            'place' => ['nullable', 'string', 'max:40'],
            'glass' => ['nullable', 'string', 'max:40'],
            'antioxidant' => ['nullable', 'string', 'max:40'],
            'where' => ['nullable', 'string', 'max:120'],
        ];
    }
}
