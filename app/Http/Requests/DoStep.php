<?php

namespace App\Http\Requests;

/** A step of a product that is done. */
final class DoStep extends Form
{
    public function rules(): array
    {
        return [
            'step' => ['required', 'string', 'max:60'],
            'warmth' => ['nullable', 'string', 'max:20'],
            'mass' => ['nullable', 'string', 'max:40'],
        ];
    }
}
