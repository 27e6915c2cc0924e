<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A plant weighed when picked and weighed now. */
#[
    OA\Schema(
        schema: 'WeighWilting',
        required: ['fresh', 'now'],
        properties: [
            new OA\Property(property: 'form', type: 'string', nullable: true),
            new OA\Property(property: 'fresh', type: 'string'),
            new OA\Property(property: 'now', type: 'string'),
            new OA\Property(property: 'hours', type: 'string', nullable: true),
            new OA\Property(property: 'water', type: 'string', nullable: true),
        ],
    ),
]
final class WeighWilting extends Form
{
    public function rules(): array
    {
        return [
            'form' => ['nullable', 'string', 'max:40'],
            'fresh' => ['required', 'string', 'max:80'],
            'now' => ['required', 'string', 'max:80'],
            'hours' => ['nullable', 'string', 'max:40'],
            'water' => ['nullable', 'string', 'max:20'],
        ];
    }
}
