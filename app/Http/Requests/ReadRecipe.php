<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A recipe however it is written: plain lines, our own JSON, or schema.org JSON-LD. */
#[OA\Schema(schema: 'ReadRecipe', required: ['text'], properties: [new OA\Property(property: 'text', type: 'string')])]
final class ReadRecipe extends Form
{
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:30000'],
        ];
    }
}
