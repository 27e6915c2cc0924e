<?php

namespace App\Http\Requests;

use App\OpenApi\Schema;

/** Something done at the stove; with an amount, a setting or a batch where one is wanted. */
#[Schema(['description' => 'Why a setting is taken that is foretold to pass the ceiling.'], of: 'confirmed')]
final class TendPot extends Form
{
    public function rules(): array
    {
        return [
            'what' => ['required', 'in:'.implode(',', \App\Actions\Stove\Tend::ACTS)],
            'confirmed' => ['sometimes', 'nullable', 'prohibited_unless:what,setting', 'string', 'max:500'],
            'with' => ['sometimes', 'nullable', 'prohibited_unless:what,topped_up,setting,jar_out', 'string', 'max:60'],
        ];
    }
}
