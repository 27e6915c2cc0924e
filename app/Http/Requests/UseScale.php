<?php

namespace App\Http\Requests;

/** What is put on the simulated scale, or taken off. */
final class UseScale extends Form
{
    public function rules(): array
    {
        return [
            'do' => ['required', 'string', 'in:jug,oil,spent,tare,off'],
            'batch' => ['nullable', 'string', 'max:26'],
        ];
    }
}
