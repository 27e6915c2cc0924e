<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What is put on the simulated scale, or taken off. */
#[
    OA\Schema(
        schema: 'UseScale',
        required: ['do'],
        properties: [
            new OA\Property(property: 'do', type: 'string', enum: ['jug', 'oil', 'spent', 'tare', 'off']),
            new OA\Property(property: 'batch', type: 'string'),
        ],
    ),
]
final class UseScale extends Form
{
    public function rules(): array
    {
        return [
            'do' => ['required', 'string', 'in:jug,oil,spent,tare,off'],
            'batch' => ['nullable', 'string', 'max:26'],
        ];
    }
}
