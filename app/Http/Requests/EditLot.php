<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;
use Kettle\Stores\LotReader;

/** What is known of a lot, with the version that was edited. */
#[Schema(['description' => AddLot::FIELDS, 'propertyNames' => ['enum' => LotReader::FIELDS]], of: 'lot')]
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
