<?php

namespace App\Http\Requests;

/** A recipe as it is to be, with the version that was edited. */
final class EditRecipe extends Form
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:5000'],
            'wish' => ['required', 'array'],
            'version' => ['required', 'integer'],
        ];
    }
}
