<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** A look at the signs by which a long oil is told to be done; those that nobody looked at then are left out. */
final readonly class SignsSeen extends Line
{
    public const KIND = 'signs';

    /** @param  array<string, string>  $seen by sign, of Kettle\Decoction\Doneness::SEEN */
    public function __construct(public array $seen) {}

    public static function of(Stored $data): self
    {
        return new self($data->words('seen'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['seen' => $this->seen];
    }

    /** It was over the flame for so long by then. */
    public function rests(): bool
    {
        return true;
    }
}
