<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Kettle\Melt\Verdict;

/** A pot that is too soft or too hard. */
final class Mend extends Form
{
    public function rules(): array
    {
        return [
            'mass' => ['required', 'string', 'max:80'],
            'share' => ['required', 'numeric', 'between:0,1'],
            'to' => ['nullable', 'required_without:verdict', 'numeric', 'between:0,1'],
            'verdict' => ['nullable', Rule::in(Verdict::ALL)],
            'by' => ['nullable', Rule::in(array_keys(Verdict::FAR))],
            'with' => ['nullable', 'string', 'max:40'],
            'room' => ['nullable', 'string', 'max:80'],
            'spoon' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function attributes(): array
    {
        return ['to' => 'the share of wax that is wanted', 'share' => 'the share of wax there is'];
    }
}
