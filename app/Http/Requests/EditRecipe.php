<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A recipe as it is to be, with the version that was edited. */
#[
    OA\Schema(
        schema: 'EditRecipe',
        required: ['name', 'wish', 'version'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'note', type: 'string'),
            new OA\Property(property: 'wish', ref: '#/components/schemas/Wish'),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class EditRecipe extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:5000'],
            'wish' => ['required', 'array'],
            'version' => ['required', 'integer'],
        ];
    }
}
