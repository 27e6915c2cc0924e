<?php

namespace App\Http\Requests;

/** A recipe however it is written: plain lines, our own JSON, or schema.org JSON-LD. */
final class ReadRecipe extends Form
{
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:30000'],
        ];
    }
}
