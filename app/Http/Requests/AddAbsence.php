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

    /** @return array<string, string> */
    public function attributes(): array
    {
        return ['from' => 'when it begins', 'to' => 'when it ends'];
    }
}
