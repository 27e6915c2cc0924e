<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Readings of a thermometer: each {at, c} or {at, f}, at as ISO 8601 with its zone or as seconds since 1970. */
#[
    OA\Schema(
        schema: 'SendReadings',
        required: ['readings'],
        properties: [
            new OA\Property(
                property: 'readings',
                type: 'array',
                items: new OA\Items(
                    type: 'object',
                    properties: [
                        new OA\Property(property: 'at', oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number')]),
                        new OA\Property(property: 'c', oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number')]),
                        new OA\Property(property: 'f', oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number')]),
                    ],
                ),
            ),
        ],
    ),
]
final class SendReadings extends Form
{
    public function rules(): array
    {
        return [
            'readings' => ['required', 'array', 'min:1', 'max:2000'],
        ];
    }
}
