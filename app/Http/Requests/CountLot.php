<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** How much is left of a lot, by looking. */
#[
    OA\Schema(
        schema: 'CountLot',
        required: ['amount'],
        properties: [new OA\Property(property: 'amount', type: 'string'), new OA\Property(property: 'note', type: 'string')],
    ),
]
final class CountLot extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['required', 'string', 'max:80'],
            'note' => ['nullable', 'string', 'max:255'],
        ];
    }
}
