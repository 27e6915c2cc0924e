<?php

namespace App\Http\Requests;

/** How much stands in a pot. */
final class MarkLevel extends Form
{
    public function rules(): array
    {
        return [
            'level' => ['required', 'string', 'max:40'],
            'by' => ['required', 'string', 'in:stick,jug,scale'],
            'anew' => ['nullable', 'boolean'],
            'at' => ['nullable', 'string', 'max:20'],
        ];
    }
}
