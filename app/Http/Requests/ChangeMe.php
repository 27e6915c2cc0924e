<?php

namespace App\Http\Requests;

/** What somebody likes to be called, and to see. */
final class ChangeMe extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:80'],
            'temperature' => ['sometimes', 'required', 'in:c,f'],
            'amounts' => ['sometimes', 'required', 'in:metric,kitchen'],
        ];
    }
}
