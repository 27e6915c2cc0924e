<?php

namespace App\Http\Requests;

/** A house of one's own. */
final class MakeHouse extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'string', 'timezone'],
            'measures' => ['required', 'string', 'in:us,metric,australian,imperial'],
        ];
    }
}
