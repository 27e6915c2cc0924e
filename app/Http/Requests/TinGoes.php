<?php

namespace App\Http\Requests;

use App\House\KitchenFactory;
use Illuminate\Validation\Rule;
use Kettle\Making\Line\TinGone;
use Kettle\Measure\Money;

/** A tin used up, given, sold or thrown away. */
final class TinGoes extends Form
{
    public function rules(): array
    {
        return [
            'tin' => ['required', 'integer', 'between:1,500'],
            'how' => ['required', Rule::in(TinGone::HOW)],
            'to' => ['nullable', 'string', 'max:160'],
            'price' => ['nullable', 'prohibited_unless:how,sold', 'numeric', 'between:0,100000'],
        ];
    }

    public function figures(): array
    {
        $other = fn (string $typed): ?string => app(KitchenFactory::class)->plain()->otherMoneyIn($typed);

        return ['price' => fn (string $typed) => $other($typed) === null ? Money::read($typed) : null];
    }
}
