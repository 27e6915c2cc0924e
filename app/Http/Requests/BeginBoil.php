<?php

namespace App\Http\Requests;

/** What is boiled down from now on, as it was planned; and which oil a long oil is made in. */
final class BeginBoil extends BoilDown
{
    public function rules(): array
    {
        return parent::rules() + [
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }

    public function asked(): array
    {
        return parent::asked() + $this->written(['carrier']);
    }

    /** @return list<string> ids of the cautions that somebody has read */
    public function acknowledged(): array
    {
        return array_values(array_filter((array) $this->input('acknowledged'), is_string(...)));
    }
}
