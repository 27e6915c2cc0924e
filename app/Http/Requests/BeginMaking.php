<?php

namespace App\Http\Requests;

/** A product's wish to be begun. */
final class BeginMaking extends ReckonProduct
{
    public function rules(): array
    {
        return parent::rules() + [
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }
}
