<?php

namespace App\Http\Requests;

/** An e-mail address and a password. */
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
