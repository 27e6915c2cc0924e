<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What came out of the cloth, measured, weighed, or weighed with its jug; how it was got out, and the herb. */
#[
    OA\Schema(
        schema: 'Strain',
        properties: [
            new OA\Property(property: 'amount', type: 'string'),
            new OA\Property(property: 'gross', type: 'string'),
            new OA\Property(property: 'tare', type: 'string'),
            new OA\Property(property: 'way', type: 'string'),
            new OA\Property(property: 'filter', type: 'string'),
            new OA\Property(property: 'spent', type: 'string'),
            new OA\Property(property: 'spent_to', type: 'string'),
            new OA\Property(property: 'signs', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                property: 'warmth',
                type: 'string',
                enum: ['had', 'not'],
                nullable: true,
                description: 'Whether it had its planned warmth, where nobody logged it.',
            ),
            new OA\Property(property: 'note', type: 'string'),
        ],
    ),
]
final class Strain extends Form
{
    public function rules(): array
    {
        return [
            'amount' => ['nullable', 'required_without:gross', 'string', 'max:80'],
            'gross' => ['nullable', 'string', 'max:80'],
            'tare' => ['nullable', 'string', 'max:80'],
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
