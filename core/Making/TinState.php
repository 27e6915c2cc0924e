<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Making\Line\TinGone;

/** One tin, and what became of it. */
final readonly class TinState
{
    /** It is here. */
    public const IN = 'in';

    /**
     * @param  float  $ml to the brim
     * @param  float  $grams in it
     * @param  string  $state IN, or how it went (TinGone::HOW)
     * @param  string  $to for what, or to whom
     */
    public function __construct(
        public int $number,
        public float $ml,
        public float $grams,
        public string $state = self::IN,
        public string $to = '',
        public ?float $price = null,
    ) {}

    public function after(TinGone $gone): self
    {
        return new self($this->number, $this->ml, $this->grams, $gone->how, mb_substr($gone->to, 0, 160), $gone->price);
    }
}
