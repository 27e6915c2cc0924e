<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Stood elsewhere, or otherwise. */
final readonly class PutAway extends Line
{
    public const KIND = 'kept';

    /** @param  array<string, string>  $as what was changed: place, glass, antioxidant, where */
    public function __construct(public array $as) {}

    public static function of(Stored $data): self
    {
        return new self($data->all());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return $this->as;
    }
}
