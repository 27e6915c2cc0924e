<?php

namespace App\Http\Requests;

/** Another part in the house. */
final class ChangeRole extends Form
{
    public function rules(): array
    {
        return [
            'role' => ['required', 'in:keeper,helper,reader'],
        ];
    }
}
