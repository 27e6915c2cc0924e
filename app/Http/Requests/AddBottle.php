<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A bottle size. */
#[
    OA\Schema(
        schema: 'AddBottle',
        required: ['called', 'capacity'],
        properties: [new OA\Property(property: 'called', type: 'string'), new OA\Property(property: 'capacity', type: 'string')],
    ),
]
final class AddBottle extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60'],
            'capacity' => ['required', 'string', 'max:80'],
        ];
    }
}
