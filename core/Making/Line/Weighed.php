<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** A part weighed, or counted in drops, and in the pot. */
final readonly class Weighed extends Line
{
    public const KIND = 'weighed';

    /**
     * @param  string  $part its key in the pot
     * @param  array<mixed>  $said its name as a sentence keeps it
     * @param  string  $typed as somebody wrote it; empty for as it was planned
     */
    public function __construct(public string $part, public array $said, public float $grams, public string $typed = '') {}

    public static function of(Stored $data): self
    {
        return new self($data->text('part'), $data->array('said'), $data->number('grams'), $data->text('typed'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['part' => $this->part, 'said' => $this->said, 'grams' => $this->grams, 'typed' => $this->typed];
    }

    public function carries(): bool
    {
        return true;
    }

    /** One part does not rest on another. */
    public function rests(): bool
    {
        return false;
    }
}
