<?php

namespace App\Http\Requests;

/** What is boiled down from now on, as it was planned; and which oil a long oil is made in. */
final class BeginBoil extends BoilDown
{
    public function rules(): array
    {
        return parent::rules() + [
            'carrier' => ['nullable', 'string', 'max:60'],
            'oil_from' => ['nullable', 'string', 'max:40'],
            'liquid_from' => ['nullable', 'string', 'max:40'],
            'acknowledged' => ['nullable', 'array', 'max:60'],
            'acknowledged.*' => ['string', 'max:60'],
        ];
    }

    public function asked(): array
    {
        return parent::asked() + $this->written(['carrier']);
    }

    /** @return array{oil?: string, liquid?: string} pots that it is poured from */
    public function from(): array
    {
        $from = $this->written(['oil_from', 'liquid_from']);

        return array_filter(['oil' => $from['oil_from'] ?? '', 'liquid' => $from['liquid_from'] ?? '']);
    }

    /** @return list<string> ids of the cautions that somebody has read */
    public function acknowledged(): array
    {
        return array_values(array_filter((array) $this->input('acknowledged'), is_string(...)));
    }

    /** @return array<string, mixed> as it was typed */
    public function typed(): array
    {
        $typed = [];
        foreach ($this->safe()->all() as $field => $each) {
            if (is_string($field) && $field !== 'acknowledged' && $each !== null && $each !== '' && $each !== []) {
                $typed[$field] = $each;
            }
        }

        return $typed;
    }
}
