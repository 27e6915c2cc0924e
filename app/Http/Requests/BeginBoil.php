<?php

namespace App\Http\Requests;

/** What is boiled down from now on, as it was planned; and which oil a long oil is made in. */
final class BeginBoil extends BoilDown
{
    public function rules(): array
    {
        return parent::rules() + ['carrier' => ['nullable', 'string', 'max:60']];
    }

    public function asked(): array
    {
        return parent::asked() + $this->written(['carrier']);
    }

    /** @return array<string, mixed> as it was typed */
    public function typed(): array
    {
        $typed = [];
        foreach ($this->safe()->all() as $field => $each) {
            if (is_string($field) && $each !== null && $each !== '' && $each !== []) {
                $typed[$field] = $each;
            }
        }

        return $typed;
    }
}
