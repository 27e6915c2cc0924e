<?php

namespace App\Http\Requests;

/** The present password and the new one. */
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
