<?php

namespace App\Http\Requests;

/** A whole wish in one sentence, as somebody would say it. */
final class ReadWish extends Form
{
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:1000'],
        ];
    }
}
