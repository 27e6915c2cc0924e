<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** The sheet, where it starts, its fields, names and own words. */
#[
    OA\Schema(
        schema: 'SetLabel',
        required: ['version', 'size', 'start', 'names', 'fields'],
        properties: [
            new OA\Property(property: 'version', type: 'integer'),
            new OA\Property(property: 'size', type: 'string'),
            new OA\Property(property: 'start', type: 'integer'),
            new OA\Property(property: 'names', type: 'string', enum: ['cook', 'inci']),
            new OA\Property(property: 'fields', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'words', type: 'string'),
        ],
    ),
]
final class SetLabel extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'size' => ['required', 'string', 'max:40'],
            'start' => ['required', 'integer', 'between:1,200'],
            'names' => ['required', 'string', 'in:cook,inci'],
            'fields' => ['required', 'array', 'max:20'],
            'fields.*' => ['string', 'max:20'],
            'words' => ['nullable', 'string', 'max:300'],
        ];
    }
}
