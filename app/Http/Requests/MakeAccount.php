<?php

namespace App\Http\Requests;

/** Somebody new, with a house of their own or by an invitation. */
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
