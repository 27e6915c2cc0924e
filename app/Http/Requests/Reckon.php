<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A wish to be reckoned. */
#[OA\Schema(schema: 'Reckon', required: ['wish'], properties: [new OA\Property(property: 'wish', ref: '#/components/schemas/Wish')])]
final class Reckon extends Form
{
    public function rules(): array
    {
        return [
            'wish' => ['required', 'array'],
        ];
    }
}
