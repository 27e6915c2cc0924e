<?php

namespace App\Http\Requests;

/** How much was poured off its sediment. */
final class PourOff extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['nullable', 'string', 'max:80'],
            'again' => ['nullable', 'boolean'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
