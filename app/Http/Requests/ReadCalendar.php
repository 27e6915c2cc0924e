<?php

namespace App\Http\Requests;

/** A calendar as iCalendar text (RFC 5545), read for its busy times. */
final class ReadCalendar extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:80'],
            'ics' => ['required', 'string', 'max:1500000'],
        ];
    }
}
