<?php

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** An entry to strike out. */
#[OA\Schema(schema: 'UndoEntry', required: ['entry'], properties: [new OA\Property(property: 'entry', type: 'string')])]
final class UndoEntry extends Form
{
    public function rules(): array
    {
        return [
            'entry' => ['required', 'string', 'max:26'],
        ];
    }
}
