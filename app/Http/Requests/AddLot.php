<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;
use Kettle\Stores\LotReader;

/** A lot as somebody writes it; each field is read by the core. */
#[Schema(['description' => self::FIELDS, 'propertyNames' => ['enum' => LotReader::FIELDS]], of: 'lot')]
final class AddLot extends Form
{
    public const FIELDS =
        'Fields by name, as they are typed: kind, material, called, part, form, state, amount, low_at, price, '.
        'got_how, got_where, got_on, opened_on, best_before, food_grade, allergens, note';

    public function rules(): array
    {
        return [
            'lot' => ['required', 'array'],
        ];
    }
}
