<?php

namespace App\Http\Requests;

/** A code that an app on a phone shows. */
final class SecondCode extends Form
{
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:40']];
    }
}
