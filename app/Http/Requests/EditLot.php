<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;

/** What is known of a lot, with the version that was edited. */
#[Schema(['description' => AddLot::FIELDS], of: 'lot')]
final class EditLot extends Form
{
    public function rules(): array
    {
        return [
            'lot' => ['required', 'array'],
            'version' => ['required', 'integer'],
        ];
    }
}
