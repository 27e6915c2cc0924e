<?php

namespace App\Http\Requests;

/** A product's wish to be begun. */
final class BeginMaking extends ReckonProduct
{
    public function rules(): array
    {
        return parent::rules() + [
            'wanted' => ['nullable', 'string', 'max:26'],
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }
}
