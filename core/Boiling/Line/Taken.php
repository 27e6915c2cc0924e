<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** Some of it taken: into a cream, into another pot, to somebody. */
final readonly class Taken extends Line
{
    public const KIND = 'taken';

    /** @param  float  $amount in what it was made in: mL, or g */
    public function __construct(public float $amount, public string $typed, public string $to) {}

    public static function of(Stored $data): self
    {
        return new self($data->number('amount'), $data->text('typed'), $data->text('to'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['amount' => $this->amount, 'typed' => $this->typed, 'to' => $this->to];
    }

    public function rests(): bool
    {
        return true;
    }
}
