<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** The house’s own words about something in the Almanac. */
#[
    OA\Schema(
        schema: 'WriteAlmanacNote',
        required: ['version'],
        properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'note', type: 'string')],
    ),
]
final class WriteAlmanacNote extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'note' => ['present', 'nullable', 'string', 'max:5000'],
        ];
    }
}
