<?php

namespace App\Responses\Stores;

/** A lot as it stands. */
final readonly class LotView
{
    /**
     * @param  list<string>  $allergens
     * @param  list<string>  $why
     * @param  string  $what the material and how it lies, in words
     * @param  string  $got how, where and when it was got, in words
     * @param  float  $share_left of what was got
     * @param  'herb'|'carrier'|'wax'|'jar'|'bottle'|'scent'|'addition'|'tin'  $kind
     * @param  'sound'|'ageing'|'past'  $condition
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $material,
        public string $called,
        public string $what,
        public ?string $form,
        public ?string $state,
        public string $left_text,
        public string $got_text,
        public string $unit,
        public bool $low,
        public ?string $low_text,
        public ?string $price_text,
        public string $got,
        public ?string $got_on,
        public ?string $opened_on,
        public ?string $best_before,
        public bool $food_grade,
        public array $allergens,
        public string $condition,
        public array $why,
        public float $left,
        public float $share_left,
        public int $version,
    ) {}
}
