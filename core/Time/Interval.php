<?php

declare(strict_types=1);

namespace Kettle\Time;

/** A while, from one moment to another: its end is not before its beginning. */
final readonly class Interval
{
    public function __construct(public \DateTimeImmutable $from, public \DateTimeImmutable $to) {}

    public function seconds(): int
    {
        return $this->to->getTimestamp() - $this->from->getTimestamp();
    }

    public function minutes(): int
    {
        return (int) floor($this->seconds() / 60);
    }

    /** Both ends are of it. */
    public function has(\DateTimeImmutable $moment): bool
    {
        return $moment >= $this->from && $moment <= $this->to;
    }

    /** Whether all of another lies in it. */
    public function covers(self $other): bool
    {
        return $other->from >= $this->from && $other->to <= $this->to;
    }

    /** @return array{from: string, to: string} in the form of ISO 8601, as documents and rows have it */
    public function toArray(): array
    {
        return ['from' => $this->from->format(DATE_ATOM), 'to' => $this->to->format(DATE_ATOM)];
    }
}
