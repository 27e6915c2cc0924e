<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Why a batch is thrown away. */
#[OA\Schema(schema: 'Discard', required: ['reason'], properties: [new OA\Property(property: 'reason', type: 'string')])]
final class Discard extends Form
{
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:500'],
        ];
    }
}
