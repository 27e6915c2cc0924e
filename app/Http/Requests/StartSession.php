<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;

/** Jars into a cooker, and on. */
#[Schema(['description' => 'Why it is switched on although it is foretold to pass the ceiling.'], of: 'confirmed')]
final class StartSession extends Form
{
    public function rules(): array
    {
        return [
            'cooker' => ['required', 'string', 'max:26'],
            'setting' => ['required', 'string', 'max:40'],
            'batches' => ['required', 'array', 'min:1', 'max:24'],
            'batches.*' => ['string', 'max:26'],
            'watch' => ['required', 'string', 'max:26'],
            'school' => ['sometimes', 'nullable', 'in:rim,quarter,half,none'],
            'poured' => ['sometimes', 'nullable', 'in:cold,hand-hot'],
            'water' => ['sometimes', 'nullable', 'string', 'max:40'],
            'confirmed' => ['sometimes', 'nullable', 'string', 'max:500'],
            'speed' => ['sometimes', 'nullable', 'integer', 'in:1,10,60,300'],
        ];
    }
}
