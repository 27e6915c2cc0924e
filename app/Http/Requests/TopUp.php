<?php

namespace App\Http\Requests;

/** Fresh oil on what is used from the top. */
final class TopUp extends Form
{
    public function rules(): array
    {
        return [
            'bottle' => ['required', 'integer', 'between:1,500'],
            'amount' => ['required', 'string', 'max:80'],
        ];
    }
}
