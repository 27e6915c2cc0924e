<?php

namespace App\Http\Requests;

/** Where a batch stands, in what glass, with what in it. */
final class ChangeStorage extends Form
{
    public function rules(): array
    {
        return [
            'place' => ['nullable', 'string', 'max:40'],
            'glass' => ['nullable', 'string', 'max:40'],
            'antioxidant' => ['nullable', 'string', 'max:40'],
            'where' => ['nullable', 'string', 'max:120'],
        ];
    }
}
