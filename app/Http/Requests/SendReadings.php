<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;

/** Readings of a thermometer: each {at, c} or {at, f}, at as ISO 8601 with its zone or as seconds since 1970. */
// A sensor tells of its battery too.
#[
    Schema(
        of: 'readings',
        is: [
            'type' => 'array',
            'minItems' => 1,
            'maxItems' => 2000,
            'items' => [
                'type' => 'object',
                'additionalProperties' => true,
                'properties' => [
                    'at' => ['type' => ['string', 'number']],
                    'c' => ['type' => ['string', 'number']],
                    'f' => ['type' => ['string', 'number']],
                ],
            ],
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
