<?php

namespace App\Http\Requests;

/** What is known of a thing of one’s own by now. */
final class EditOwn extends Form
{
    public function rules(): array
    {
        return [
            'own' => ['required', 'array'],
            'version' => ['required', 'integer', 'min:0'],
        ];
    }
}
