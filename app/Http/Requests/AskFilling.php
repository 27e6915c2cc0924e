<?php

namespace App\Http\Requests;

/** How many of which size are wished for in any case. */
final class AskFilling extends Form
{
    use CountsBottles;

    public function rules(): array
    {
        return [
            'fixed' => ['nullable', 'array', 'max:12'],
            'fixed.*.size' => ['required', 'string', 'max:26'],
            'fixed.*.count' => ['required', 'integer', 'between:0,500'],
            'from_stores' => ['nullable', 'boolean'],
            'vitamin_e' => ['nullable', 'string', 'max:40'],
        ];
    }
}
