<?php

namespace App\Http\Requests;

use App\Http\FreeName;
use App\Models\Probe;

/** A thermometer that sends, or a simulated one. */
final class AddProbe extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60', new FreeName(Probe::class)],
            'kind' => ['required', 'in:sends,simulated'],
        ];
    }
}
