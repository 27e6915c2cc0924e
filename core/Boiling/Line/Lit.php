<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;

/** Put over the flame, or on again after a night. */
final readonly class Lit extends Line
{
    public const KIND = 'lit';

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [];
    }

    public function carries(): bool
    {
        return true;
    }
}
