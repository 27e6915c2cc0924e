<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A warmth somebody read just now, as they write it. */
#[OA\Schema(schema: 'WriteReading', required: ['warmth'], properties: [new OA\Property(property: 'warmth', type: 'string')])]
final class WriteReading extends Form
{
    public function rules(): array
    {
        return [
            'warmth' => ['required', 'string', 'max:20'],
        ];
    }
}
