<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Batch\Line\Topped;
use Kettle\Batch\Line\Used;

/** One bottle, and what became of it. */
final readonly class BottleState
{
    /** It holds something yet, and is here. */
    public const IN = 'in';

    /** Less than a drop is nothing. */
    private const EMPTY_ML = 0.005;

    /**
     * @param  string  $state IN, or how it went (Used::HOW)
     * @param  string  $to for what, or to whom some of it went
     */
    public function __construct(
        public int $number,
        public string $called,
        public float $capacityMl,
        public float $leftMl,
        public string $state = self::IN,
        public string $to = '',
    ) {}

    /** Fresh oil on what is left in it. */
    public function toppedUp(Topped $more): self
    {
        $left = round($this->leftMl + $more->ml, 3);

        return new self($this->number, $this->called, max($this->capacityMl, $left), $left, self::IN, $this->to);
    }

    public function after(Used $used): self
    {
        $left = max(0.0, round($this->leftMl - $used->ml, 3));

        return new self(
            $this->number,
            $this->called,
            $this->capacityMl,
            $left,
            $left <= self::EMPTY_ML ? $used->how : $this->state,
            mb_substr($used->to, 0, 160),
        );
    }
}
