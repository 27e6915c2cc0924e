<?php

namespace App\Http\Requests;

use App\Http\GuessedPassword;

/** The present password and the new one. */
final class ChangePassword extends Form
{
    public function rules(): array
    {
        return [
            'present' => self::PRESENT,
            'password' => GuessedPassword::rules(),
        ];
    }
}
