<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** How much was poured off its sediment. */
#[
    OA\Schema(
        schema: 'PourOff',
        properties: [
            new OA\Property(property: 'amount', type: 'string'),
            new OA\Property(property: 'again', type: 'boolean'),
            new OA\Property(property: 'note', type: 'string'),
        ],
    ),
]
final class PourOff extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['nullable', 'string', 'max:80'],
            'again' => ['nullable', 'boolean'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
