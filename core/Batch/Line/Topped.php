<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Fresh oil poured into what an oil is used out of, left on its sediment. It keeps no longer for it. */
final readonly class Topped extends Line
{
    public const KIND = 'topped';

    /** @param  int  $bottle its number */
    public function __construct(public int $bottle, public float $ml, public string $typed) {}

    public static function of(Stored $data): self
    {
        return new self($data->count('bottle'), $data->number('ml'), $data->text('typed'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['bottle' => $this->bottle, 'ml' => $this->ml, 'typed' => $this->typed];
    }

    public function rests(): bool
    {
        return true;
    }
}
