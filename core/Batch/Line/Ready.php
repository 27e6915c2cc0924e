<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Diary\Event;
use Kettle\Diary\Step;

/** Left on its sediment and never strained: from now on it is used from the top, out of what it stands in. */
final readonly class Ready extends Line
{
    public const KIND = 'ready';

    /**
     * @param  float  $ml oil that stands in all of them
     * @param  string  $called what it stands in
     * @param  int  $count of how many such
     * @param  string  $warmth Strained::WARMTH_HAD, or not, where nobody logged it; empty where it was logged
     */
    public function __construct(public float $ml, public string $called, public int $count = 1, public string $warmth = '') {}

    public static function of(Stored $data): self
    {
        return new self($data->number('ml'), $data->text('called'), max(1, $data->count('count', 1)), $data->text('warmth'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'ml' => $this->ml,
            'called' => $this->called,
            'count' => $this->count,
            ...$this->warmth === '' ? [] : ['warmth' => $this->warmth],
        ];
    }

    /** What it comes to where it is asked what came out: all that stands there. */
    public function asStrained(): Strained
    {
        return new Strained('', $this->ml, '', null, null, null, false, $this->warmth);
    }

    public function asBottled(): Bottled
    {
        return new Bottled([new FilledSize('', $this->called, round($this->ml / $this->count, 3), $this->count)], $this->ml, 0.0);
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return Event::done(Step::Ready->value, $at);
    }

    public function carries(): bool
    {
        return true;
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
