<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Kettle\Decoction\Doneness;

/** What was seen of the signs of a pot just now; what nobody looked at is left out. */
final class SeeSigns extends Form
{
    public function rules(): array
    {
        return [...array_map(fn (array $may) => ['nullable', Rule::in($may)], Doneness::SEEN), 'at' => ['nullable', 'string', 'max:20']];
    }

    /** @return array<string, string> */
    public function seen(): array
    {
        return $this->written(array_keys(Doneness::SEEN));
    }
}
