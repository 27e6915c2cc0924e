<?php

namespace App\Http\Requests;

/** A thing of one’s own, to be looked at. */
final class LookAtOwn extends Form
{
    public function rules(): array
    {
        return [
            'own' => ['required', 'array'],
        ];
    }
}
