<?php

namespace App\Http\Requests;

use App\Actions\People\Links;
use App\Actions\People\Registration;
use App\Http\GuessedPassword;

/** Somebody new, with a house of their own or by an invitation. */
final class MakeAccount extends Form
{
    /** Asked before anything of the form is looked at: who is not let in learns nothing of who is here. */
    public function authorize(): bool
    {
        Registration::here()->admit($this->string('invitation')->toString(), app(Links::class));

        return true;
    }

    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => GuessedPassword::rules(),
            'house' => ['nullable', 'string', 'max:80'],
            'time_zone' => ['bail', 'nullable', 'string', 'timezone'],
            'invitation' => ['nullable', 'string', 'max:80'],
            'measures' => ['nullable', 'string', 'in:us,metric,australian,imperial'],
        ];
    }
}
