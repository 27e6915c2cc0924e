<?php

namespace App\Http\Requests;

/** What a batch is for now. */
final class ChangePurpose extends Form
{
    public function rules(): array
    {
        return [
            'purpose' => ['required', 'string', 'max:20'],
        ];
    }
}
