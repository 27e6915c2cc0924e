<?php

namespace App\Http\Requests;

use App\Http\GuessedPassword;

/** Somebody new, with a house of their own or by an invitation. */
final class MakeAccount extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => GuessedPassword::rules(),
            'house' => ['nullable', 'string', 'max:80'],
            'time_zone' => ['bail', 'nullable', 'string', 'timezone'],
            'measures' => ['nullable', 'string', 'in:us,metric,australian,imperial'],
        ];
    }
}
