<?php

namespace App\Http\Requests;

/** The present password of who ends a house, and the house's name. */
final class EndHouse extends Form
{
    public function rules(): array
    {
        return [
            'present' => ['bail', 'required', 'string', 'max:200', 'current_password'],
            'name' => ['required', 'string', 'max:80'],
        ];
    }
}
