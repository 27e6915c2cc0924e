<?php

namespace App\Http\Requests;

/** The present password of who ends a house, and the house's name. */
final class EndHouse extends Form
{
    public function rules(): array
    {
        return [
            'present' => self::PRESENT,
            'name' => ['required', 'string', 'max:80'],
        ];
    }
}
