<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A house's settings, with the version that was edited. */
#[
    OA\Schema(
        schema: 'EditHouse',
        required: ['version', 'name', 'time_zone', 'measures', 'wake', 'bed', 'drops_per_ml'],
        properties: [
            new OA\Property(property: 'version', type: 'integer'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'time_zone', type: 'string'),
            new OA\Property(property: 'measures', type: 'string', enum: ['us', 'metric', 'australian', 'imperial']),
            new OA\Property(property: 'wake', type: 'string'),
            new OA\Property(property: 'bed', type: 'string'),
            new OA\Property(property: 'drops_per_ml', type: 'number'),
            new OA\Property(property: 'currency', type: 'string'),
            new OA\Property(property: 'room_c', type: 'number'),
            new OA\Property(property: 'room', type: 'string'),
            new OA\Property(property: 'latitude', type: 'number', nullable: true),
            new OA\Property(property: 'longitude', type: 'number', nullable: true),
            new OA\Property(property: 'height_m', type: 'integer'),
            new OA\Property(property: 'facing', type: 'integer'),
            new OA\Property(property: 'home', type: 'array', nullable: true, items: new OA\Items(type: 'string')),
            new OA\Property(property: 'things', type: 'array', items: new OA\Items(type: 'string')),
        ],
    ),
]
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
            'room' => ['sometimes', 'string', 'max:20'],
            'latitude' => ['sometimes', 'nullable', 'numeric', 'between:-90,90', 'required_with:longitude'],
            'longitude' => ['sometimes', 'nullable', 'numeric', 'between:-180,180', 'required_with:latitude'],
            'height_m' => ['sometimes', 'integer', 'between:-400,5000'],
            'facing' => ['sometimes', 'integer', 'between:0,359'],
            'home' => ['sometimes', 'nullable', 'array', 'size:7'],
            'home.*' => ['nullable', 'string', 'max:120'],
            'things' => ['sometimes', 'array', 'max:40'],
            'things.*' => ['string', 'max:40'],
        ];
    }
}
