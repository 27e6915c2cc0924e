<?php

namespace App\Http\Requests;

/** Several jars turned over at once. */
final class ShakeTogether extends Form
{
    public function rules(): array
    {
        return [
            'batches' => ['required', 'array', 'min:1', 'max:60'],
            'batches.*' => ['string', 'max:26'],
        ];
    }
}
