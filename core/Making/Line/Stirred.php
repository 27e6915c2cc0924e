<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** The leaf in it was stirred, and perhaps its warmth looked at. */
final readonly class Stirred extends Line
{
    public const KIND = 'stirred';

    public function __construct(public ?float $celsius = null) {}

    public static function of(Stored $data): self
    {
        return new self($data->numberOrNull('celsius'));
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
