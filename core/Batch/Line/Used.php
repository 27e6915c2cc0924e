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
     * @param  string  $batch the batch that was made in it: a second charge, which gives it back
     */
    public function __construct(
        public int $bottle,
        public string $how,
        public float $ml,
        public string $typed,
        public string $to,
        public string $making = '',
        public string $batch = '',
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
            $data->text('batch'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['bottle' => $this->bottle, 'how' => $this->how, 'ml' => $this->ml, 'typed' => $this->typed, 'to' => $this->to] +
            array_filter(['making' => $this->making, 'batch' => $this->batch]);
    }

    public function rests(): bool
    {
        return true;
    }

    /** What went into a product, or on fresh herb, comes back with that. */
    public function canBeStruck(): bool
    {
        return $this->making === '' && $this->batch === '';
    }
}
