<?php

namespace App\Http\Requests;

/** Answers of a guided check, by question. */
final class CheckLot extends Form
{
    public function rules(): array
    {
        return [
            'answers' => ['required', 'array'],
        ];
    }
}
