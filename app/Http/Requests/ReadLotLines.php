<?php

namespace App\Http\Requests;

/** Lots, a line for each, as somebody writes them on a lid. */
final class ReadLotLines extends Form
{
    public function rules(): array
    {
        return [
            'lines' => ['required', 'string', 'max:8000'],
        ];
    }
}
