<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What somebody likes to be called, and to see. */
#[
    OA\Schema(
        schema: 'ChangeMe',
        required: [],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'temperature', type: 'string', enum: ['c', 'f']),
            new OA\Property(property: 'amounts', type: 'string', enum: ['metric', 'kitchen']),
        ],
    ),
]
final class ChangeMe extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'temperature' => ['sometimes', 'required', 'in:c,f'],
            'amounts' => ['sometimes', 'required', 'in:metric,kitchen'],
        ];
    }
}
