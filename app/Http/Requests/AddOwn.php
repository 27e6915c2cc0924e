<?php

namespace App\Http\Requests;

/** A thing of one’s own, to be looked at, or to be kept. */
final class AddOwn extends Form
{
    public function rules(): array
    {
        return [
            'own' => ['required', 'array'],
        ];
    }
}
