<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Put to another purpose. */
final readonly class PurposeChanged extends Line
{
    public const KIND = 'purpose';

    public function __construct(public string $from, public string $to) {}

    public static function of(Stored $data): self
    {
        return new self($data->text('from'), $data->text('to'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['from' => $this->from, 'to' => $this->to];
    }
}
