<?php

namespace App\Http\Requests;

/** The leaf in a product is stirred. */
final class StirPot extends Form
{
    public function rules(): array
    {
        return [
            'warmth' => ['nullable', 'string', 'max:20'],
        ];
    }
}
