<?php

namespace App\Http\Requests;

/** What was taken out of a pot, and what was put in. */
final class MendPot extends Form
{
    public function rules(): array
    {
        return [
            'part' => ['nullable', 'required_with:amount', 'string', 'max:60'],
            'amount' => ['nullable', 'required_with:part', 'string', 'max:80'],
            'out' => ['nullable', 'string', 'max:80'],
        ];
    }
}
