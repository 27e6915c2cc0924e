<?php

namespace App\Http\Requests;

/** What is to be boiled down, as it was typed. */
class BoilDown extends Form
{
    /** Fields the core reads as they are. */
    private const TYPED = [
        'hardness',
        'want',
        'water',
        'herb',
        'stage',
        'oil',
        'paste',
        'decoction',
        'liquid',
        'purpose',
        'total',
        'extract_now',
    ];

    /** Fields that are asked for by some only of what is boiled down, and by which. */
    private const OF = [
        'decoction' => ['want', 'water', 'herb', 'hardness'],
        'glycerin' => ['total', 'extract_now', 'share'],
        'long-oil' => [
            'stage',
            'oil',
            'paste',
            'decoction',
            'liquid',
            'hardness',
            'purpose',
            'paste_herbs',
            'hours_a_day',
            'carrier',
            'oil_from',
            'liquid_from',
        ],
    ];

    public function rules(): array
    {
        $rules = $this->shapes();
        foreach (array_unique(array_merge(...array_values(self::OF))) as $field) {
            $of = array_keys(array_filter(self::OF, fn (array $fields) => in_array($field, $fields, true)));
            $rules[$field][] = 'prohibited_unless:what,'.implode(',', $of);
        }

        return $rules;
    }

    /** @return array<string, list<string>> */
    private function shapes(): array
    {
        return [
            'what' => ['required', 'string', 'in:decoction,long-oil,glycerin'],
            'herbs' => ['nullable', 'array', 'max:12'],
            'herbs.*' => ['string', 'max:60'],
            'paste_herbs' => ['nullable', 'array', 'max:12'],
            'paste_herbs.*' => ['string', 'max:60'],
            'share' => ['nullable', 'string', 'max:20'],
            'width' => ['nullable', 'string', 'max:40'],
            'height' => ['nullable', 'string', 'max:40'],
            'rate' => ['nullable', 'string', 'max:40'],
            'hours_a_day' => ['nullable', 'string', 'max:20'],
            'carrier' => ['nullable', 'string', 'max:60'],
            'oil_from' => ['nullable', 'string', 'max:40'],
            'liquid_from' => ['nullable', 'string', 'max:40'],
            ...array_fill_keys(self::TYPED, ['nullable', 'string', 'max:80']),
        ];
    }

    /** @return 'decoction'|'long-oil'|'glycerin' */
    public function what(): string
    {
        return match ($this->string('what')->toString()) {
            'decoction' => 'decoction',
            'glycerin' => 'glycerin',
            default => 'long-oil',
        };
    }

    /** @return array<string, mixed> what the core reads by itself, less what was left blank */
    public function asked(): array
    {
        $herbs = $this->herbs('herbs');
        $typed = $this->written(self::TYPED);
        if ($this->what() !== 'long-oil') {
            return [...$typed, ...$herbs === [] ? [] : ['herbs' => $herbs]];
        }
        $hardness = $typed['hardness'] ?? null;
        unset($typed['hardness']);

        return [
            ...$typed,
            ...$this->herbs('paste_herbs') === [] ? [] : ['paste_herbs' => $this->herbs('paste_herbs')],
            'decoct' => [...$herbs === [] ? [] : ['herbs' => $herbs], ...$hardness === null ? [] : ['hardness' => $hardness]],
        ];
    }

    /** @return array{width?: string, height?: string, rate?: string, share?: string, hours_a_day?: string} measures as they were typed */
    public function measures(): array
    {
        return $this->written(['width', 'height', 'rate', 'share', 'hours_a_day']);
    }

    /** @return array{oil?: string, liquid?: string} pots that it is poured from */
    public function from(): array
    {
        $from = $this->written(['oil_from', 'liquid_from']);

        return array_filter(['oil' => $from['oil_from'] ?? '', 'liquid' => $from['liquid_from'] ?? '']);
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

    /** @return list<array{id: string}> */
    private function herbs(string $field): array
    {
        $ids = $this->input($field);

        return array_map(fn (string $id) => ['id' => $id], is_array($ids) ? array_values(array_filter($ids, is_string(...))) : []);
    }
}
