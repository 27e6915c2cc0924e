<?php

namespace App\Http\Requests;

/** A new password, by a link. */
final class NewPassword extends Form
{
    public function rules(): array
    {
        return [
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ];
    }
}
