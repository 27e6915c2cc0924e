<?php

namespace App\Http\Requests;

/** An e-mail address and a password; and a code where the account has a second step. */
final class SignIn extends Form
{
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:190'],
            'password' => ['required', 'string', 'max:200'],
            'code' => ['sometimes', 'nullable', 'string', 'max:40'],
        ];
    }
}
