<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** What a batch is for now. */
#[OA\Schema(schema: 'ChangePurpose', required: ['purpose'], properties: [new OA\Property(property: 'purpose', type: 'string')])]
final class ChangePurpose extends Form
{
    public function rules(): array
    {
        return [
            'purpose' => ['required', 'string', 'max:20'],
        ];
    }
}
