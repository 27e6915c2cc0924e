<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What is known of a lot, with the version that was edited. */
#[
    OA\Schema(
        schema: 'EditLot',
        required: ['lot', 'version'],
        properties: [
            new OA\Property(property: 'lot', type: 'object', description: AddLot::FIELDS),
            new OA\Property(property: 'version', type: 'integer'),
        ],
    ),
]
final class EditLot extends Form
{
    public function rules(): array
    {
        return [
            'lot' => ['required', 'array'],
            'version' => ['required', 'integer'],
        ];
    }
}
