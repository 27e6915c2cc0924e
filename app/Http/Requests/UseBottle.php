<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Some of a bottle, or all of it, used, given or thrown away. */
#[
    OA\Schema(
        schema: 'UseBottle',
        required: ['bottle', 'how'],
        properties: [
            new OA\Property(property: 'bottle', type: 'integer'),
            new OA\Property(property: 'how', type: 'string', enum: ['used', 'given', 'thrown']),
            new OA\Property(property: 'amount', type: 'string'),
            new OA\Property(property: 'to', type: 'string'),
        ],
    ),
]
final class UseBottle extends Form
{
    public function rules(): array
    {
        return [
            'bottle' => ['required', 'integer', 'between:1,500'],
            'how' => ['required', 'string', 'in:used,given,thrown'],
            'amount' => ['nullable', 'string', 'max:80'],
            'to' => ['nullable', 'string', 'max:160'],
        ];
    }
}
