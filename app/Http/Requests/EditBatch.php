<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Where the plant came from, with the version that was edited. */
#[
    OA\Schema(
        schema: 'EditBatch',
        required: ['version', 'origin'],
        properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'origin', type: 'string')],
    ),
]
final class EditBatch extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'origin' => ['present', 'nullable', 'string', 'max:160'],
        ];
    }
}
