<?php

namespace App\Http\Requests;

/** What is seen or smelled. */
final class FindFault extends Form
{
    public function rules(): array
    {
        return [
            'signs' => ['required', 'array', 'min:1', 'max:22'],
            'signs.*' => ['string', 'max:40'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
