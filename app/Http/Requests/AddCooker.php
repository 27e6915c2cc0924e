<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A cooker, measured inside. */
#[
    OA\Schema(
        schema: 'AddCooker',
        required: ['called', 'shape', 'length', 'height', 'method'],
        properties: [
            new OA\Property(property: 'called', type: 'string'),
            new OA\Property(property: 'shape', type: 'string'),
            new OA\Property(property: 'length', type: 'string'),
            new OA\Property(property: 'width', type: 'string'),
            new OA\Property(property: 'height', type: 'string'),
            new OA\Property(property: 'method', type: 'string'),
        ],
    ),
]
final class AddCooker extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60'],
            'shape' => ['required', 'string', 'max:10'],
            'length' => ['required', 'string', 'max:40'],
            'width' => ['sometimes', 'nullable', 'string', 'max:40'],
            'height' => ['required', 'string', 'max:40'],
            'method' => ['required', 'string', 'max:20'],
        ];
    }
}
