<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A step done, skipped for a reason, or put off to a day, or to a moment of it. */
#[
    OA\Schema(
        schema: 'RecordTask',
        required: ['task', 'outcome'],
        properties: [
            new OA\Property(property: 'task', type: 'string'),
            new OA\Property(property: 'outcome', type: 'string', enum: ['done', 'skipped', 'later']),
            new OA\Property(property: 'reason', type: 'string'),
            new OA\Property(property: 'until', type: 'string'),
            new OA\Property(
                property: 'seen',
                type: 'array',
                items: new OA\Items(type: 'string', enum: ['herb_above', 'drops_wiped', 'fur', 'bubbles_calmed', 'colour_turned']),
            ),
        ],
    ),
]
final class RecordTask extends Form
{
    public function rules(): array
    {
        return [
            'task' => ['required', 'string', 'max:20'],
            'outcome' => ['required', 'in:done,skipped,later'],
            'reason' => ['nullable', 'required_if:outcome,skipped', 'string', 'max:500'],
            'seen' => ['sometimes', 'nullable', 'array', 'max:3'],
            'seen.*' => ['in:herb_above,drops_wiped,fur,bubbles_calmed,colour_turned'],
            'until' => ['nullable', 'required_if:outcome,later', 'string', 'max:16'],
        ];
    }
}
