<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** A mark of how much stands in the pot: by a stick, by the pot's own marks, or by weight. */
final readonly class Marked extends Line
{
    public const KIND = 'marked';

    /**
     * @param  float  $ml what stands in it
     * @param  string  $typed as somebody wrote it
     * @param  bool  $anew whether more was poured in before it, so that marks begin anew here
     */
    public function __construct(public float $ml, public string $typed, public bool $anew = false) {}

    public static function of(Stored $data): self
    {
        return new self($data->number('ml'), $data->text('typed'), $data->flag('anew'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['ml' => $this->ml, 'typed' => $this->typed, ...$this->anew ? ['anew' => true] : []];
    }

    /** It was over the flame for so long by then. */
    public function rests(): bool
    {
        return true;
    }
}
