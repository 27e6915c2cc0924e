<?php

namespace App\Http\Requests;

/** How what is bottled smells and looks, by question. */
final class CheckBottles extends Form
{
    public function rules(): array
    {
        return [
            'answers' => ['required', 'array', 'max:12'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
