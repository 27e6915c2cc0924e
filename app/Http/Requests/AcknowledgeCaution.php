<?php

namespace App\Http\Requests;

/** The caution that was read. */
final class AcknowledgeCaution extends Form
{
    public function rules(): array
    {
        return [
            'caution' => ['required', 'string', 'max:40'],
        ];
    }
}
