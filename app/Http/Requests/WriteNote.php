<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A note for the logbook, or a better one for one that was wrong. */
#[
    OA\Schema(
        schema: 'WriteNote',
        required: ['note'],
        properties: [new OA\Property(property: 'note', type: 'string'), new OA\Property(property: 'corrects', type: 'string')],
    ),
]
final class WriteNote extends Form
{
    public function rules(): array
    {
        return [
            'note' => ['required', 'string', 'max:5000'],
            'corrects' => ['nullable', 'string', 'max:26'],
        ];
    }
}
