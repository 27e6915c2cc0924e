<?php

namespace App\Http\Requests;

/** What of a house that comes in is taken along beside its records. */
final class TakeTransfer extends Form
{
    public function rules(): array
    {
        return [
            'settings' => ['sometimes', 'boolean'],
            'calendars' => ['sometimes', 'boolean'],
            'thermometers' => ['sometimes', 'boolean'],
            'people' => ['sometimes', 'boolean'],
        ];
    }
}
