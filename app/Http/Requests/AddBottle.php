<?php

namespace App\Http\Requests;

/** A bottle size. */
final class AddBottle extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60'],
            'capacity' => ['required', 'string', 'max:80'],
        ];
    }
}
