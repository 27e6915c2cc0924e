<?php

namespace App\Responses\Bench;

/** An oil in its place for a purpose. */
final readonly class OilRow
{
    /**
     * @param  int  $score 0 to 100
     * @param  array<string, float>  $marks
     * @param  list<string>  $reasons
     * @param  list<string>  $allergens
     * @param  array<string, float>|null  $picture
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $note,
        public int $score,
        public array $marks,
        public array $reasons,
        public array $allergens,
        public bool $solid,
        public string $sets_text,
        public string $keeps_text,
        public int $feel,
        public ?int $iodine_value,
        public ?float $oxidisability,
        public ?array $picture,
        public ?string $stock_text,
        public ?string $price_text,
    ) {}
}
