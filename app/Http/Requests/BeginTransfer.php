<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;

/** A whole house out, or in; of one that comes in how many bytes it has. */
final class BeginTransfer extends Form
{
    public function rules(): array
    {
        return [
            'way' => ['required', 'string', Rule::in(['out', 'in'])],
            'size' => ['required_if:way,in', 'integer', 'min:22', 'max:1000000000000'],
        ];
    }
}
