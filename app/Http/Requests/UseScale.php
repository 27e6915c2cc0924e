<?php

namespace App\Http\Requests;

/** What is put on the simulated scale, or taken off. */
final class UseScale extends Form
{
    public function rules(): array
    {
        return [
            'do' => ['required', 'string', 'in:jug,oil,spent,part,tare,off'],
            'batch' => ['nullable', 'string', 'max:26'],
            'making' => ['nullable', 'required_with:part', 'string', 'max:26'],
            'part' => ['nullable', 'required_if:do,part', 'string', 'max:60'],
        ];
    }
}
