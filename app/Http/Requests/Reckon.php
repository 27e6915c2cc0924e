<?php

namespace App\Http\Requests;

/** A wish to be reckoned. */
final class Reckon extends Form
{
    public function rules(): array
    {
        return [
            'wish' => ['required', 'array'],
        ];
    }
}
