<?php

namespace App\Http\Requests;

/** A plant weighed when picked and weighed now. */
final class WeighWilting extends Form
{
    public function rules(): array
    {
        return [
            'form' => ['nullable', 'string', 'max:40'],
            'fresh' => ['required', 'string', 'max:80'],
            'now' => ['required', 'string', 'max:80'],
            'hours' => ['nullable', 'string', 'max:40'],
            'water' => ['nullable', 'string', 'max:20'],
        ];
    }
}
