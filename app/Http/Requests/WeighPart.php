<?php

namespace App\Http\Requests;

/** A part of a product, weighed and in the pot. */
final class WeighPart extends Form
{
    public function rules(): array
    {
        return [
            'part' => ['required', 'string', 'max:60'],
            'amount' => ['nullable', 'string', 'max:80'],
        ];
    }
}
