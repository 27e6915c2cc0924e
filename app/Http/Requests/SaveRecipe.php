<?php

namespace App\Http\Requests;

/** A wish to be kept under a name. */
final class SaveRecipe extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:5000'],
            'wish' => ['required', 'array'],
        ];
    }
}
