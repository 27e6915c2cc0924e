<?php

declare(strict_types=1);

namespace Kettle\Measure;

/**
 * An amount read from what somebody wrote, in the kind's own unit (g, mL, mm, C, h).
 *
 * For "4-6 weeks" low and high differ and the value is their middle; what is counted, as "8 cloves", weighs about its
 * value; otherwise all three are equal.
 */
final readonly class Amount
{
    private function __construct(
        public Kind $kind,
        public float $value,
        public float $low,
        public float $high,
        public string $typed,
        public bool $throughDensity,
        public bool $together = false,
    ) {}

    public static function of(Kind $kind, float $value, string $typed = ''): self
    {
        return new self($kind, $value, $value, $value, $typed, false);
    }

    public static function range(Kind $kind, float $low, float $high, string $typed = ''): self
    {
        return new self($kind, ($low + $high) / 2, min($low, $high), max($low, $high), $typed, false);
    }

    /** What was counted and not weighed: about so much, and no less and no more than that. */
    public static function counted(Kind $kind, float $value, float $low, float $high, string $typed): self
    {
        return new self($kind, $value, $low, $high, $typed, false);
    }

    /** What several come to, or one and the parts of the rest; as the amounts were typed that say it. */
    public static function together(Kind $kind, float $value, float $low, float $high, string $typed): self
    {
        return new self($kind, $value, $low, $high, $typed, false, true);
    }

    /** So many of it. */
    public function times(int $many, string $typed): self
    {
        return new self($this->kind, $this->value * $many, $this->low * $many, $this->high * $many, $typed, $this->throughDensity);
    }

    /** The same amount, as somebody typed it. */
    public function as(string $typed): self
    {
        return new self($this->kind, $this->value, $this->low, $this->high, $typed, $this->throughDensity);
    }

    /**
     * The same amount as the other of mass and volume.
     *
     * @throws AmountException when this is neither
     */
    public function through(Density $density, Kind $wanted): self
    {
        $turn = match ([$this->kind, $wanted]) {
            [Kind::Volume, Kind::Mass] => $density->massOf(...),
            [Kind::Mass, Kind::Volume] => $density->volumeOf(...),
            default => throw AmountException::needsDensity($this->typed, $this->kind, $wanted),
        };

        return new self($wanted, $turn($this->value), $turn($this->low), $turn($this->high), $this->typed, true);
    }
}
