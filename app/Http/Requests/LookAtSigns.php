<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Kettle\Decoction\Doneness;

/** What was seen of the four signs of a long oil. */
final class LookAtSigns extends Form
{
    public function rules(): array
    {
        return [
            ...array_map(fn (array $may) => ['nullable', Rule::in($may)], Doneness::SEEN),
            'fat' => ['nullable', Rule::in(Doneness::FATS)],
        ];
    }

    /** @return array<string, string> */
    public function seen(): array
    {
        $seen = [];
        foreach ([...array_keys(Doneness::SEEN), 'fat'] as $sign) {
            $is = $this->input($sign);
            if (is_string($is) && $is !== '') {
                $seen[$sign] = $is;
            }
        }

        return $seen;
    }
}
