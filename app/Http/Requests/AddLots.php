<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;
use Kettle\Stores\LotReader;

/** Several lots at once; all are taken in, or none. */
#[Schema(['items' => ['type' => 'object', 'propertyNames' => ['enum' => LotReader::FIELDS]]], of: 'lots')]
final class AddLots extends Form
{
    public function rules(): array
    {
        return [
            'lots' => ['required', 'array', 'min:1', 'max:60'],
            'lots.*' => ['required', 'array'],
        ];
    }
}
