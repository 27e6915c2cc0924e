<?php

namespace App\Http\Requests;

use App\Http\FreeName;
use App\Models\BottleSize;

/** A bottle size. */
final class AddBottle extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60', new FreeName(BottleSize::class)],
            'capacity' => ['required', 'string', 'max:80'],
        ];
    }
}
