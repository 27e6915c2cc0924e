<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A CSV file, in base64 for its bytes are of any encoding; do or only say what it would do. */
#[
    OA\Schema(
        schema: 'ReadCsv',
        required: ['csv', 'do'],
        properties: [new OA\Property(property: 'csv', type: 'string'), new OA\Property(property: 'do', type: 'boolean')],
    ),
]
final class ReadCsv extends Form
{
    public function rules(): array
    {
        return [
            'csv' => ['required', 'string', 'max:4000000'],
            'do' => ['required', 'boolean'],
        ];
    }
}
