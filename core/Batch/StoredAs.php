<?php

declare(strict_types=1);

namespace Kettle\Batch;

/** Where and how an oil stands. */
final readonly class StoredAs
{
    /**
     * @param  string  $place,$glass,$antioxidant ids of data/keeping.json
     * @param  string  $where in the house's own words
     */
    public function __construct(
        public string $place = 'cool-dark',
        public string $glass = 'dark',
        public string $antioxidant = 'none',
        public string $where = '',
    ) {}

    /** @param  array<string, string>  $said what was changed */
    public function changed(array $said): self
    {
        return new self(
            $said['place'] ?? $this->place,
            $said['glass'] ?? $this->glass,
            $said['antioxidant'] ?? $this->antioxidant,
            $said['where'] ?? $this->where,
        );
    }

    public static function of(Stored $stored, string $place): self
    {
        return (new self($place))->changed($stored->all());
    }

    /** @return array{place: string, glass: string, antioxidant: string, where: string} */
    public function document(): array
    {
        return ['place' => $this->place, 'glass' => $this->glass, 'antioxidant' => $this->antioxidant, 'where' => $this->where];
    }
}
