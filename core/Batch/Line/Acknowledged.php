<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Cautions that somebody read since. */
final readonly class Acknowledged extends ReadCautions
{
    public const KIND = 'acknowledged';

    public static function of(Stored $data): self
    {
        return new self(self::cautions($data));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return $this->kept();
    }
}
