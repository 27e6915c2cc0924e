<?php

namespace App\Http\Requests;

/** An entry to strike out. */
final class UndoEntry extends Form
{
    public function rules(): array
    {
        return [
            'entry' => ['required', 'string', 'max:26'],
        ];
    }
}
