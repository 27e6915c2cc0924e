<?php

declare(strict_types=1);

namespace Kettle\Reason;

/**
 * A figure with its unit, its range where it rests on an estimate, and its reasons.
 *
 * The value is a number in the named unit, or an ISO 8601 date when the unit is "date".
 * The range, where there is one, is the central 90 % unless a reason says otherwise.
 */
final readonly class Figure
{
    /** @param  list<Reason>  $reasons */
    private function __construct(
        public string $id,
        public float|string $value,
        public string $unit,
        public float|string|null $low,
        public float|string|null $high,
        public array $reasons,
    ) {}

    public static function exactly(string $id, float|string $value, string $unit, Reason ...$reasons): self
    {
        return new self($id, $value, $unit, null, null, array_values($reasons));
    }

    public static function between(
        string $id,
        float|string $low,
        float|string $value,
        float|string $high,
        string $unit,
        Reason ...$reasons,
    ): self {
        return new self($id, $value, $unit, $low, $high, array_values($reasons));
    }

    public function number(): float
    {
        return (float) $this->value;
    }

    public function text(): string
    {
        return (string) $this->value;
    }
}
