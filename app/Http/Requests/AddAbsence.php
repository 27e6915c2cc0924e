<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A while away: days, or moments of the house's own time. */
#[
    OA\Schema(
        schema: 'AddAbsence',
        required: ['from', 'to'],
        properties: [
            new OA\Property(property: 'from', type: 'string'),
            new OA\Property(property: 'to', type: 'string'),
            new OA\Property(property: 'called', type: 'string'),
        ],
    ),
]
final class AddAbsence extends Form
{
    public function rules(): array
    {
        return [
            'from' => ['required', 'string', 'max:16'],
            'to' => ['required', 'string', 'max:16'],
            'called' => ['sometimes', 'nullable', 'string', 'max:80'],
        ];
    }
}
