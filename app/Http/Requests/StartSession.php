<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Jars into a cooker, and on. */
#[
    OA\Schema(
        schema: 'StartSession',
        required: ['cooker', 'setting', 'batches', 'watch'],
        properties: [
            new OA\Property(property: 'cooker', type: 'string'),
            new OA\Property(property: 'setting', type: 'string'),
            new OA\Property(property: 'batches', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'watch', type: 'string'),
            new OA\Property(property: 'school', type: 'string'),
            new OA\Property(property: 'poured', type: 'string'),
            new OA\Property(property: 'water', type: 'string'),
            new OA\Property(property: 'speed', type: 'integer'),
            new OA\Property(
                property: 'confirmed',
                type: 'string',
                description: 'Why it is switched on although it is foretold to pass the ceiling.',
            ),
        ],
    ),
]
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
