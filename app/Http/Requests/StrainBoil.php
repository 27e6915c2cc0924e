<?php

namespace App\Http\Requests;

/** What came of a pot, and where it stands. */
final class StrainBoil extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['required', 'string', 'max:80'],
            'where' => ['nullable', 'string', 'max:80'],
            'anyway' => ['nullable', 'boolean'],
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }
}
