<?php

namespace App\Http\Requests;

/** A pot that is not put over the flame before a time of a day. */
final class MoveBoil extends Form
{
    public function rules(): array
    {
        return [
            'until' => ['required', 'string', 'max:10'],
            'time' => ['required', 'string', 'max:20'],
        ];
    }
}
