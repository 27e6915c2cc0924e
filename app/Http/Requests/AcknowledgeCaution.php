<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** The caution that was read. */
#[OA\Schema(schema: 'AcknowledgeCaution', required: ['caution'], properties: [new OA\Property(property: 'caution', type: 'string')])]
final class AcknowledgeCaution extends Form
{
    public function rules(): array
    {
        return [
            'caution' => ['required', 'string', 'max:40'],
        ];
    }
}
