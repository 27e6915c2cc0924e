<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** Not over the flame before a time: somebody moved its days. The last one stands, until it is lit. */
final readonly class Moved extends Line
{
    public const KIND = 'moved';

    public function __construct(public \DateTimeImmutable $until) {}

    /** @throws \Exception when what was stored is no moment */
    public static function of(Stored $data): self
    {
        return new self(new \DateTimeImmutable($data->text('until', '@0')));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['until' => $this->until->format('c')];
    }
}
