<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

/** How far it has got, by one of the senses. */
abstract readonly class Look extends Line
{
    public const KIND = 'look';

    final public function kind(): string
    {
        return self::KIND;
    }
}
