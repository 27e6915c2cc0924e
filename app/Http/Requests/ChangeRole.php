<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Another part in the house. */
#[
    OA\Schema(
        schema: 'ChangeRole',
        required: ['role'],
        properties: [new OA\Property(property: 'role', type: 'string', enum: ['keeper', 'helper', 'reader'])],
    ),
]
final class ChangeRole extends Form
{
    public function rules(): array
    {
        return [
            'role' => ['required', 'in:keeper,helper,reader'],
        ];
    }
}
