<?php

namespace App\Http\Requests;

/** A look at a jar: its colour by a swatch or a photo with two places pointed out, or its scent from 0 to 10. */
final class TakeLook extends Form
{
    public function rules(): array
    {
        return [
            'what' => ['required', 'in:colour,scent'],
            'plain' => ['sometimes', 'boolean'],
            'swatch' => [
                'sometimes',
                'nullable',
                'prohibited_unless:what,colour',
                'prohibits:photo',
                'string',
                'regex:/^#[0-9a-fA-F]{6}$/D',
            ],
            'photo' => ['sometimes', 'nullable', 'prohibited_unless:what,colour', 'string', 'max:8200000'],
            'oil' => ['sometimes', 'nullable', 'prohibited_unless:what,colour', 'prohibits:swatch', 'array', 'size:2'],
            'oil.*' => ['numeric', 'between:0,1'],
            'card' => ['sometimes', 'nullable', 'prohibited_unless:what,colour', 'prohibits:swatch', 'array', 'size:2'],
            'card.*' => ['numeric', 'between:0,1'],
            'score' => ['sometimes', 'nullable', 'prohibited_unless:what,scent', 'integer', 'between:0,10'],
            'note' => ['sometimes', 'nullable', 'string', 'max:500'],
        ];
    }
}
