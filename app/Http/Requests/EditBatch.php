<?php

namespace App\Http\Requests;

/** Where the plant came from, with the version that was edited. */
final class EditBatch extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'origin' => ['present', 'nullable', 'string', 'max:160'],
        ];
    }
}
