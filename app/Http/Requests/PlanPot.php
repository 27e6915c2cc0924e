<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What a pot will do. */
#[
    OA\Schema(
        schema: 'PlanPot',
        required: ['cooker', 'setting', 'batches'],
        properties: [
            new OA\Property(property: 'cooker', type: 'string'),
            new OA\Property(property: 'setting', type: 'string'),
            new OA\Property(property: 'batches', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'school', type: 'string'),
            new OA\Property(property: 'poured', type: 'string'),
        ],
    ),
]
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
