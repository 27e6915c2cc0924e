<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** How many bottles of which sizes. */
#[OA\Schema(schema: 'Bottle', required: ['bottles'], properties: [
    new OA\Property(property: 'bottles', type: 'array', items: new OA\Items(required: ['size', 'count'], properties: [new OA\Property(property: 'size', type: 'string'), new OA\Property(property: 'count', type: 'integer')], type: 'object')),
    new OA\Property(property: 'note', type: 'string'),
])]
final class Bottle extends Form
{
    public function rules(): array
    {
        return [
            'bottles' => ['required', 'array', 'min:1', 'max:40'],
            'note' => ['nullable', 'string', 'max:5000'],
            'bottles.*.size' => ['required', 'string', 'max:26'],
            'bottles.*.count' => ['required', 'integer', 'between:0,500'],
        ];
    }
}
