<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What is seen or smelled. */
#[
    OA\Schema(
        schema: 'FindFault',
        required: ['signs'],
        properties: [
            new OA\Property(property: 'signs', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'note', type: 'string'),
        ],
    ),
]
final class FindFault extends Form
{
    public function rules(): array
    {
        return [
            'signs' => ['required', 'array', 'min:1', 'max:22'],
            'signs.*' => ['string', 'max:40'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
