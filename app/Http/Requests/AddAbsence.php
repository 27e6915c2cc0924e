<?php

namespace App\Http\Requests;

/** A while away: days, or moments of the house's own time. */
final class AddAbsence extends Form
{
    public function rules(): array
    {
        return [
            'from' => ['required', 'string', 'max:16'],
            'to' => ['required', 'string', 'max:16'],
            'called' => ['sometimes', 'nullable', 'string', 'max:80'],
        ];
    }
}
