<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A thermometer that sends, or a simulated one. */
#[
    OA\Schema(
        schema: 'AddProbe',
        required: ['called', 'kind'],
        properties: [new OA\Property(property: 'called', type: 'string'), new OA\Property(property: 'kind', type: 'string')],
    ),
]
final class AddProbe extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60'],
            'kind' => ['required', 'in:sends,simulated'],
        ];
    }
}
