<?php

namespace App\Http\Requests;

/** A recipe as it is to be, with the version that was edited. */
final class EditRecipe extends SaveRecipe
{
    public function rules(): array
    {
        return parent::rules() + ['version' => ['required', 'integer']];
    }
}
