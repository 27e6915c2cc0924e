<?php

namespace App\Http\Requests;

use App\Http\FreeName;
use App\Models\Cooker;

/** A cooker, measured inside. */
final class AddCooker extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60', new FreeName(Cooker::class)],
            'shape' => ['required', 'string', 'max:10'],
            'length' => ['required', 'string', 'max:40'],
            'width' => ['sometimes', 'nullable', 'string', 'max:40'],
            'height' => ['required', 'string', 'max:40'],
            'method' => ['required', 'string', 'max:20'],
        ];
    }
}
