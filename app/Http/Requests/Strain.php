<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;

/** What came out of the cloth, measured, weighed, or weighed with its jug; how it was got out, and the herb. */
#[Schema(['description' => 'Whether it had its planned warmth, where nobody logged it.'], of: 'warmth')]
final class Strain extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['nullable', 'required_without:gross', 'string', 'max:80'],
            'gross' => ['nullable', 'prohibits:amount', 'string', 'max:80'],
            'tare' => ['nullable', 'prohibits:amount', 'string', 'max:80'],
            'way' => ['nullable', 'string', 'max:20'],
            'filter' => ['nullable', 'string', 'max:20'],
            'spent' => ['nullable', 'string', 'max:80'],
            'spent_to' => ['nullable', 'string', 'max:20'],
            'signs' => ['nullable', 'array', 'max:12'],
            'signs.*' => ['string', 'max:20'],
            'warmth' => ['nullable', 'in:had,not'],
            'note' => ['nullable', 'string', 'max:5000'],
        ];
    }
}
