<?php

namespace App\Http\Requests;

use App\Http\GuessedPassword;

/** A new password, by a link; and a code where the account has a second step. */
final class NewPassword extends Form
{
    public function rules(): array
    {
        return [
            'password' => GuessedPassword::rules(),
            'code' => ['sometimes', 'nullable', 'string', 'max:40'],
        ];
    }
}
