<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A calendar as iCalendar text (RFC 5545), read for its busy times. */
#[
    OA\Schema(
        schema: 'ReadCalendar',
        required: ['called', 'ics'],
        properties: [new OA\Property(property: 'called', type: 'string'), new OA\Property(property: 'ics', type: 'string')],
    ),
]
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
