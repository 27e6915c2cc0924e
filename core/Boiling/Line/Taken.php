<?php

declare(strict_types=1);

namespace Kettle\Boiling\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** Some of it taken: into a cream, into another pot, to somebody. */
final readonly class Taken extends Line
{
    public const KIND = 'taken';

    /** What becomes of what is taken: somebody who was given some has to be told, should it turn. */
    public const HOW = ['used', 'given'];

    /**
     * @param  float  $amount in what it was made in: mL, or g
     * @param  string  $to for what, or to whom
     * @param  string  $into the product or the pot that it went into, whose own logbook gives it back
     * @param  value-of<self::HOW>  $how
     */
    public function __construct(
        public float $amount,
        public string $typed,
        public string $to,
        public string $into = '',
        public string $how = 'used',
    ) {}

    public static function of(Stored $data): self
    {
        return new self(
            $data->number('amount'),
            $data->text('typed'),
            $data->text('to'),
            $data->text('into'),
            $data->text('how') === 'given' ? 'given' : 'used',
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['amount' => $this->amount, 'typed' => $this->typed, 'to' => $this->to] +
            array_filter(['into' => $this->into, 'how' => $this->how === 'used' ? '' : $this->how]);
    }

    public function rests(): bool
    {
        return true;
    }

    public function canBeStruck(): bool
    {
        return $this->into === '';
    }
}
