<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Strikes another line out. */
final readonly class Undone extends Line
{
    public const KIND = 'undone';

    /** @param  string  $what the kind of line that it strikes out */
    public function __construct(public string $what) {}

    public static function of(Stored $data): self
    {
        return new self($data->text('what'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['what' => $this->what];
    }

    public function canBeStruck(): bool
    {
        return false;
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
