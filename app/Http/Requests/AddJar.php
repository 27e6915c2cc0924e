<?php

namespace App\Http\Requests;

use App\Http\FreeName;
use App\Models\Jar as HouseJar;
use Illuminate\Validation\Rule;
use Kettle\Vessel\Jar;

/** A jar size, a bowl or a pan: how much it holds to the brim, its height inside, and where so much stands. */
final class AddJar extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60', new FreeName(HouseJar::class)],
            'brim' => ['required', 'string', 'max:80'],
            'height' => ['required', 'string', 'max:80'],
            'marks' => ['sometimes', 'nullable', 'string', 'max:400'],
            'kind' => ['sometimes', 'string', Rule::in(Jar::KINDS)],
        ];
    }
}
