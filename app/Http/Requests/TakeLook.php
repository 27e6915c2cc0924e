<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A look at a jar: its colour by a swatch or a photo with two places pointed out, or its scent from 0 to 10. */
#[
    OA\Schema(
        schema: 'TakeLook',
        required: ['what'],
        properties: [
            new OA\Property(property: 'what', type: 'string'),
            new OA\Property(property: 'plain', type: 'boolean'),
            new OA\Property(property: 'swatch', type: 'string'),
            new OA\Property(property: 'photo', type: 'string'),
            new OA\Property(property: 'score', type: 'integer'),
            new OA\Property(property: 'note', type: 'string'),
            new OA\Property(property: 'oil', type: 'array', items: new OA\Items(type: 'number')),
            new OA\Property(property: 'card', type: 'array', nullable: true, items: new OA\Items(type: 'number')),
        ],
    ),
]
final class TakeLook extends Form
{
    public function rules(): array
    {
        return [
            'what' => ['required', 'in:colour,scent'],
            'plain' => ['sometimes', 'boolean'],
            'swatch' => ['sometimes', 'nullable', 'string', 'regex:/^#[0-9a-fA-F]{6}$/D'],
            'photo' => ['sometimes', 'nullable', 'string', 'max:8200000'],
            'oil' => ['sometimes', 'nullable', 'array', 'size:2'],
            'oil.*' => ['numeric', 'between:0,1'],
            'card' => ['sometimes', 'nullable', 'array', 'size:2'],
            'card.*' => ['numeric', 'between:0,1'],
            'score' => ['sometimes', 'nullable', 'integer', 'between:0,10'],
            'note' => ['sometimes', 'nullable', 'string', 'max:500'],
        ];
    }
}
