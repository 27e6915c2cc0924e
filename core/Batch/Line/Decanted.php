<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Diary\Event;
use Kettle\Diary\Step;

/** Poured off its sediment. */
final readonly class Decanted extends Line
{
    public const KIND = 'decanted';

    /**
     * @param  string  $typed as it was written; empty where nobody measured
     * @param  ?float  $ml what is left to bottle
     * @param  bool  $again whether it went through paper once more
     */
    public function __construct(public string $typed, public ?float $ml, public float $lostMl, public bool $again) {}

    public static function of(Stored $data): self
    {
        return new self($data->text('typed'), $data->numberOrNull('ml'), $data->number('lost_ml'), $data->flag('again'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['typed' => $this->typed, 'ml' => $this->ml, 'lost_ml' => $this->lostMl, 'again' => $this->again];
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return Event::done(Step::Decant->value, $at);
    }

    public function carries(): bool
    {
        return true;
    }
}
