<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Kettle\Boiling\Line\Taken;

/** Some of a decoction or an extract, and what it went into, or who was given it. */
final class TakeOfBoil extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['required', 'string', 'max:80'],
            'how' => ['nullable', Rule::in(Taken::HOW)],
            'to' => ['nullable', 'string', 'max:160'],
        ];
    }
}
