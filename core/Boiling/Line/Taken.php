<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** Some of it taken: into a cream, into another pot, to somebody. */
final readonly class Taken extends Line
{
    public const KIND = 'taken';

    /**
     * @param  float  $amount in what it was made in: mL, or g
     * @param  string  $into the product or the pot that it went into, whose own logbook gives it back
     */
    public function __construct(public float $amount, public string $typed, public string $to, public string $into = '') {}

    public static function of(Stored $data): self
    {
        return new self($data->number('amount'), $data->text('typed'), $data->text('to'), $data->text('into'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['amount' => $this->amount, 'typed' => $this->typed, 'to' => $this->to] + array_filter(['into' => $this->into]);
    }

    public function rests(): bool
    {
        return true;
    }

    public function canBeStruck(): bool
    {
        return $this->into === '';
    }
}
