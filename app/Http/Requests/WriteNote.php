<?php

namespace App\Http\Requests;

/** A note for the logbook, or a better one for one that was wrong. */
final class WriteNote extends Form
{
    public function rules(): array
    {
        return [
            'note' => ['required', 'string', 'max:5000'],
            'corrects' => ['nullable', 'string', 'max:26'],
        ];
    }
}
