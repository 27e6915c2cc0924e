<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A wish to be kept under a name. */
#[
    OA\Schema(
        schema: 'KeepRecipe',
        required: ['name', 'wish'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'note', type: 'string'),
            new OA\Property(property: 'wish', ref: '#/components/schemas/Wish'),
        ],
    ),
]
final class SaveRecipe extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:5000'],
            'wish' => ['required', 'array'],
        ];
    }
}
