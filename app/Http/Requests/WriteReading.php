<?php

namespace App\Http\Requests;

/** A warmth somebody read just now, as they write it. */
final class WriteReading extends Form
{
    public function rules(): array
    {
        return [
            'warmth' => ['required', 'string', 'max:20'],
        ];
    }
}
