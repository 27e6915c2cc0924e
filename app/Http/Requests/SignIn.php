<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** An e-mail address and a password. */
#[
    OA\Schema(
        schema: 'SignIn',
        required: ['email', 'password'],
        properties: [new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'password', type: 'string')],
    ),
]
final class SignIn extends Form
{
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:190'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }
}
