<?php

namespace App\Http\Requests;

/** Some of a decoction or an extract, and what it went into. */
final class TakeOfBoil extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['required', 'string', 'max:80'],
            'to' => ['nullable', 'string', 'max:160'],
        ];
    }
}
