<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Something done at the stove; with an amount, a setting or a batch where one is wanted. */
#[
    OA\Schema(
        schema: 'TendPot',
        required: ['what'],
        properties: [
            new OA\Property(property: 'what', type: 'string'),
            new OA\Property(property: 'with', type: 'string'),
            new OA\Property(
                property: 'confirmed',
                type: 'string',
                description: 'Why a setting is taken that is foretold to pass the ceiling.',
            ),
        ],
    ),
]
final class TendPot extends Form
{
    public function rules(): array
    {
        return [
            'what' => ['required', 'in:'.implode(',', \App\Actions\Stove\Tend::ACTS)],
            'confirmed' => ['sometimes', 'nullable', 'string', 'max:500'],
            'with' => ['sometimes', 'nullable', 'string', 'max:60'],
        ];
    }
}
