<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;

/** Taken off the flame, and covered. */
final readonly class Covered extends Line
{
    public const KIND = 'covered';

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
