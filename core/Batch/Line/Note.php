<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** A note, which says what it says; it may have a picture, as of an old page. */
final readonly class Note extends Line
{
    public const KIND = 'note';

    /** @param  ?string  $photo its id */
    public function __construct(public ?string $photo = null) {}

    public static function of(Stored $data): self
    {
        return new self($data->textOrNull('photo'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return $this->photo === null ? [] : ['photo' => $this->photo];
    }

    /** A better one is written beside it. */
    public function canBeStruck(): bool
    {
        return false;
    }
}
