<?php

namespace App\Http\Requests;

/** A wish to be kept under a name: for an oil, or for a product made of oils, which names what it is. */
class SaveRecipe extends Form
{
    public const WISH = 'AnyWish';

    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
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
