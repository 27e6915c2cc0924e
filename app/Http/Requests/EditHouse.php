<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A house's settings, with the version that was edited. */
#[OA\Schema(schema: 'EditHouse', required: ['version', 'name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml'], properties: [
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'time_zone', type: 'string'),
    new OA\Property(property: 'measures', type: 'string', enum: ['us', 'metric', 'australian', 'imperial']),
    new OA\Property(property: 'wake', type: 'string'),
    new OA\Property(property: 'bed', type: 'string'),
    new OA\Property(property: 'drops_per_ml', type: 'number'),
    new OA\Property(property: 'currency', type: 'string'),
    new OA\Property(property: 'room_c', type: 'number'),
    new OA\Property(property: 'things', type: 'array', items: new OA\Items(type: 'string')),
])]
final class EditHouse extends Form
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'name' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'string', 'timezone'],
            'measures' => ['required', 'string', 'in:us,metric,australian,imperial'],
            'wake' => ['required', 'string', 'max:5'],
            'bed' => ['required', 'string', 'max:5'],
            'drops_per_ml' => ['required', 'numeric', 'between:5,60'],
            'currency' => ['sometimes', 'nullable', 'string', 'regex:/^[A-Z]{3}$/'],
            'room_c' => ['sometimes', 'numeric', 'between:0,40'],
            'things' => ['sometimes', 'array', 'max:40'],
            'things.*' => ['string', 'max:40'],
        ];
    }
}
