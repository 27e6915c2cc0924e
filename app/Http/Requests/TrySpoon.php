<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Kettle\Melt\Verdict;

/** How a drop on the cold spoon turned out, or the product in use. */
final class TrySpoon extends Form
{
    public function rules(): array
    {
        return [
            'verdict' => ['required', Rule::in(Verdict::ALL)],
            'by' => ['nullable', Rule::in(array_keys(Verdict::FAR))],
            'room_c' => ['nullable', 'numeric', 'between:-20,60'],
            'stuck' => ['nullable', 'string', 'max:80'],
        ];
    }
}
