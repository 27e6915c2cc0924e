<?php

namespace App\Http\Requests;

/** A pot put over the flame, or taken off and covered. */
final class TurnFlame extends Form
{
    public function rules(): array
    {
        return [
            'on' => ['required', 'boolean'],
            'at' => ['nullable', 'string', 'max:20'],
        ];
    }
}
