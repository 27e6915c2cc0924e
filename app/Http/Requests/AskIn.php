<?php

namespace App\Http\Requests;

/** The part somebody asked in will have. */
final class AskIn extends Form
{
    public function rules(): array
    {
        return [
            'role' => ['required', 'in:keeper,helper,reader'],
        ];
    }
}
