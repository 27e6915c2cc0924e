<?php

namespace App\Http\Requests;

/** A wish to be begun. */
final class StartBatch extends Form
{
    public function rules(): array
    {
        return [
            'wish' => ['required', 'array'],
            'origin' => ['nullable', 'string', 'max:160'],
            'repeats' => ['nullable', 'string', 'max:26'],
            'wanted' => ['nullable', 'string', 'max:26'],
            'wanted_oil' => ['nullable', 'integer', 'between:0,11', 'required_with:wanted'],
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }
}
