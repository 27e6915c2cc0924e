<?php

namespace App\Http\Requests;

/** All that something which turned went into is thrown away: what was seen of it, and why. */
final class Recall extends Form
{
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:400'],
            'things' => ['required', 'array', 'min:1', 'max:600'],
            'things.*' => ['string', 'max:60'],
        ];
    }
}
