<?php

namespace App\Http\Requests;

/** Why a batch is thrown away. */
final class Discard extends Form
{
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:500'],
        ];
    }
}
