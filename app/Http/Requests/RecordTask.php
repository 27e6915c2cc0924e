<?php

namespace App\Http\Requests;

/** A step done, skipped for a reason, or put off to a day, or to a moment of it. */
final class RecordTask extends Form
{
    public function rules(): array
    {
        return [
            'task' => ['required', 'string', 'max:20'],
            'outcome' => ['required', 'in:done,skipped,later'],
            'reason' => ['nullable', 'required_if:outcome,skipped', 'string', 'max:500'],
            'seen' => ['sometimes', 'nullable', 'prohibited_unless:outcome,done', 'array', 'max:3'],
            'seen.*' => ['in:herb_above,drops_wiped,fur,bubbles_calmed,colour_turned'],
            'amount' => ['sometimes', 'nullable', 'prohibited_unless:outcome,done', 'string', 'max:40'],
            'until' => ['nullable', 'required_if:outcome,later', 'prohibited_unless:outcome,later', 'string', 'max:16'],
        ];
    }
}
