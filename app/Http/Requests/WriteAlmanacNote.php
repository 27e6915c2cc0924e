<?php

namespace App\Http\Requests;

/** The house’s own words about something in the Almanac. */
final class WriteAlmanacNote extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'note' => ['present', 'nullable', 'string', 'max:5000'],
        ];
    }
}
