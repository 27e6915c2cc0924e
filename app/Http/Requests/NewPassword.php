<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A new password, by a link. */
#[OA\Schema(schema: 'NewPassword', required: ['password'], properties: [new OA\Property(property: 'password', type: 'string')])]
final class NewPassword extends Form
{
    public function rules(): array
    {
        return [
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ];
    }
}
