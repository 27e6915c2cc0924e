<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** The part somebody asked in will have. */
#[
    OA\Schema(
        schema: 'AskIn',
        required: ['role'],
        properties: [new OA\Property(property: 'role', type: 'string', enum: ['keeper', 'helper', 'reader'])],
    ),
]
final class AskIn extends Form
{
    public function rules(): array
    {
        return [
            'role' => ['required', 'in:keeper,helper,reader'],
        ];
    }
}
