<?php

namespace App\Http\Requests;

/** How warm a pot is. */
final class WarmBoil extends Form
{
    public function rules(): array
    {
        return [
            'warmth' => ['required', 'string', 'max:20'],
            'at' => ['nullable', 'string', 'max:20'],
        ];
    }
}
