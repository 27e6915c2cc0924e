<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Somebody new, with a house of their own or by an invitation. */
#[
    OA\Schema(
        schema: 'MakeAccount',
        required: ['name', 'email', 'password'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
            new OA\Property(property: 'house', type: 'string'),
            new OA\Property(property: 'time_zone', type: 'string'),
            new OA\Property(property: 'measures', type: 'string', enum: ['us', 'metric', 'australian', 'imperial']),
        ],
    ),
]
final class MakeAccount extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
            'house' => ['nullable', 'string', 'max:80'],
            'time_zone' => ['bail', 'nullable', 'string', 'timezone'],
            'measures' => ['nullable', 'string', 'in:us,metric,australian,imperial'],
        ];
    }
}
