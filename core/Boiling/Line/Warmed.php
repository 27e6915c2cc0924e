<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** How warm it is, by a thermometer. */
final readonly class Warmed extends Line
{
    public const KIND = 'warmed';

    public function __construct(public float $celsius) {}

    public static function of(Stored $data): self
    {
        return new self($data->number('celsius'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['celsius' => $this->celsius];
    }
}
