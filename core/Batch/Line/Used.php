<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Some of a bottle, or all of it, used, given or thrown away. */
final readonly class Used extends Line
{
    public const KIND = 'used';

    /** What becomes of what is in a bottle. */
    public const HOW = ['used', 'given', 'thrown'];

    /**
     * @param  int  $bottle its number
     * @param  string  $how of HOW
     * @param  string  $to for what, or to whom
     * @param  string  $making the product that it went into; its own logbook gives it back
     */
    public function __construct(
        public int $bottle,
        public string $how,
        public float $ml,
        public string $typed,
        public string $to,
        public string $making = '',
    ) {}

    public static function of(Stored $data): self
    {
        return new self(
            $data->count('bottle'),
            in_array($data->text('how'), self::HOW, true) ? $data->text('how') : 'used',
            $data->number('ml'),
            $data->text('typed'),
            $data->text('to'),
            $data->text('making'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['bottle' => $this->bottle, 'how' => $this->how, 'ml' => $this->ml, 'typed' => $this->typed, 'to' => $this->to] +
            ($this->making === '' ? [] : ['making' => $this->making]);
    }

    public function rests(): bool
    {
        return true;
    }

    /** What went into a product comes back with it. */
    public function canBeStruck(): bool
    {
        return $this->making === '';
    }
}
