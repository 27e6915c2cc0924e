<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A house of one's own. */
#[
    OA\Schema(
        schema: 'MakeHouse',
        required: ['name', 'time_zone', 'measures'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'time_zone', type: 'string'),
            new OA\Property(property: 'measures', type: 'string', enum: ['us', 'metric', 'australian', 'imperial']),
        ],
    ),
]
final class MakeHouse extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'string', 'timezone'],
            'measures' => ['required', 'string', 'in:us,metric,australian,imperial'],
        ];
    }
}
