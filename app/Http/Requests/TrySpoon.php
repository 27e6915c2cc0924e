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
            'room' => ['nullable', 'string', 'max:20'],
            'stuck' => ['nullable', 'string', 'max:80'],
        ];
    }
}
