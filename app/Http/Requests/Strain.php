<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What came out of the cloth, weighed or measured. */
#[OA\Schema(schema: 'Strain', required: ['amount'], properties: [
    new OA\Property(property: 'amount', type: 'string'),
    new OA\Property(property: 'note', type: 'string'),
])]
final class Strain extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['required', 'string', 'max:80'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
