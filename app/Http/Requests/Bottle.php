<?php

namespace App\Http\Requests;

/** How many bottles of which sizes. */
final class Bottle extends Form
{
    use CountsBottles;

    public function rules(): array
    {
        return [
            'bottles' => ['required', 'array', 'min:1', 'max:40'],
            'note' => ['nullable', 'string', 'max:5000'],
            'place' => ['nullable', 'string', 'max:40'],
            'glass' => ['nullable', 'string', 'max:40'],
            'antioxidant' => ['nullable', 'string', 'max:40'],
            'where' => ['nullable', 'string', 'max:120'],
            'from_stores' => ['nullable', 'boolean'],
            'bottles.*.size' => ['required', 'string', 'max:26'],
            'bottles.*.count' => ['required', 'integer', 'between:0,500'],
        ];
    }
}
