<?php

namespace App\Http\Requests;

/** Several lots at once; all are taken in, or none. */
final class AddLots extends Form
{
    public function rules(): array
    {
        return [
            'lots' => ['required', 'array', 'min:1', 'max:60'],
            'lots.*' => ['required', 'array'],
        ];
    }
}
