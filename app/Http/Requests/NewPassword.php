<?php

namespace App\Http\Requests;

use App\Http\GuessedPassword;

/** A new password, by a link. */
final class NewPassword extends Form
{
    public function rules(): array
    {
        return [
            'password' => GuessedPassword::rules(),
        ];
    }
}
