<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;
use Kettle\Making\PotPart;

/** Something taken out of the pot, then something more put in. */
final readonly class Mended extends Line
{
    public const KIND = 'mended';

    /** @param  string  $typed what was put in, as somebody wrote it */
    public function __construct(public ?PotPart $in, public float $outG, public string $typed = '') {}

    public static function of(Stored $data): self
    {
        return new self($data->array('in') === [] ? null : PotPart::read($data->part('in')), $data->number('out_g'), $data->text('typed'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['in' => $this->in?->kept(), 'out_g' => $this->outG, 'typed' => $this->typed];
    }

    public function carries(): bool
    {
        return true;
    }
}
