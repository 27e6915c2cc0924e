<?php

namespace App\Http\Requests;

/** What is never strained is ready. */
final class SayReady extends Form
{
    public function rules(): array
    {
        return ['warmth' => ['nullable', 'string', 'in:had,not']];
    }
}
