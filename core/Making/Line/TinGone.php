<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** A tin used up, given, sold or thrown away. */
final readonly class TinGone extends Line
{
    public const KIND = 'gone';

    public const HOW = ['used', 'given', 'sold', 'thrown'];

    /**
     * @param  int  $tin its number
     * @param  value-of<self::HOW>  $how
     * @param  string  $to for what, or to whom
     * @param  ?float  $price in the house's currency, where it was sold
     */
    public function __construct(public int $tin, public string $how, public string $to = '', public ?float $price = null) {}

    public static function of(Stored $data): self
    {
        return new self($data->count('tin'), $data->oneOf('how', self::HOW, 'used'), $data->text('to'), $data->numberOrNull('price'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['tin' => $this->tin, 'how' => $this->how, 'to' => $this->to, 'price' => $this->price];
    }

    public function rests(): bool
    {
        return true;
    }
}
