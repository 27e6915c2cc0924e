<?php

namespace App\Http\Requests;

/** What a pot will do. */
final class PlanPot extends Form
{
    public function rules(): array
    {
        return [
            'cooker' => ['required', 'string', 'max:26'],
            'setting' => ['required', 'string', 'max:40'],
            'batches' => ['required', 'array', 'min:1', 'max:24'],
            'batches.*' => ['string', 'max:26'],
            'school' => ['sometimes', 'nullable', 'in:rim,quarter,half,none'],
            'poured' => ['sometimes', 'nullable', 'in:cold,hand-hot'],
        ];
    }
}
