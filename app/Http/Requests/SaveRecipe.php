<?php

namespace App\Http\Requests;

use App\Http\FreeName;
use App\Models\Recipe;

/** A wish to be kept under a name: for an oil, or for a product made of oils, which names what it is. */
class SaveRecipe extends Form
{
    public const WISH = 'AnyWish';

    public function rules(): array
    {
        $recipe = $this->route('recipe');

        return [
            'name' => [
                'required',
                'string',
                'max:120',
                new FreeName(Recipe::class, 'name', $recipe instanceof Recipe ? $recipe->id : null),
            ],
            'note' => ['nullable', 'string', 'max:5000'],
            'wish' => ['required', 'array'],
        ];
    }

    protected function passedValidation(): void
    {
        $wish = $this->input('wish');
        is_array($wish) && array_key_exists('product', $wish) ? ReckonProduct::hold($wish) : parent::passedValidation();
    }
}
