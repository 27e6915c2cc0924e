<?php

namespace App\Http\Requests;

/** A thermometer that sends, or a simulated one. */
final class AddProbe extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60'],
            'kind' => ['required', 'in:sends,simulated'],
        ];
    }
}
