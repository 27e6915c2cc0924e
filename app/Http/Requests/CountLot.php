<?php

namespace App\Http\Requests;

/** How much is left of a lot, by looking. */
final class CountLot extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['required', 'string', 'max:80'],
            'note' => ['nullable', 'string', 'max:255'],
        ];
    }
}
