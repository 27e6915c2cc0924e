<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** The present password and the new one. */
#[
    OA\Schema(
        schema: 'ChangePassword',
        required: ['present', 'password'],
        properties: [new OA\Property(property: 'present', type: 'string'), new OA\Property(property: 'password', type: 'string')],
    ),
]
final class ChangePassword extends Form
{
    public function rules(): array
    {
        return [
            'present' => ['bail', 'required', 'string', 'max:200', 'current_password'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ];
    }
}
