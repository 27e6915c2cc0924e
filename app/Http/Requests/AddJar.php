<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Kettle\Vessel\Jar;
use OpenApi\Attributes as OA;

/** A jar size, a bowl or a pan: how much it holds to the brim, and its height inside. */
#[
    OA\Schema(
        schema: 'AddJar',
        required: ['called', 'brim', 'height'],
        properties: [
            new OA\Property(property: 'called', type: 'string'),
            new OA\Property(property: 'brim', type: 'string'),
            new OA\Property(property: 'height', type: 'string'),
            new OA\Property(property: 'kind', type: 'string', enum: Jar::KINDS),
        ],
    ),
]
final class AddJar extends Form
{
    public function rules(): array
    {
        return [
            'called' => ['required', 'string', 'max:60'],
            'brim' => ['required', 'string', 'max:80'],
            'height' => ['required', 'string', 'max:80'],
            'kind' => ['sometimes', 'string', Rule::in(Jar::KINDS)],
        ];
    }
}
