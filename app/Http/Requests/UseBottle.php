<?php

namespace App\Http\Requests;

/** Some of a bottle, or all of it, used, given or thrown away. */
final class UseBottle extends Form
{
    public function rules(): array
    {
        return [
            'bottle' => ['required', 'integer', 'between:1,500'],
            'how' => ['required', 'string', 'in:used,given,thrown'],
            'amount' => ['nullable', 'string', 'max:80'],
            'to' => ['nullable', 'string', 'max:160'],
        ];
    }
}
