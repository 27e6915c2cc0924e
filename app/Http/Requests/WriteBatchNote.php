<?php

namespace App\Http\Requests;

/** A note for a batch's logbook, or a better one for one that was wrong; with a picture, as of an old page, or only that. */
final class WriteBatchNote extends Form
{
    public function rules(): array
    {
        return [
            'note' => ['required_without:photo', 'nullable', 'string', 'max:5000'],
            'corrects' => ['nullable', 'string', 'max:26'],
            'photo' => ['sometimes', 'nullable', 'string', 'max:8200000'],
        ];
    }
}
