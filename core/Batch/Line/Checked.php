<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Diary\Event;
use Kettle\Diary\Step;
use Kettle\Reason\Said;
use Kettle\Stores\Condition;

/** Bottles smelled and held to the light. */
final readonly class Checked extends Line
{
    public const KIND = 'checked';

    /**
     * @param  string  $verdict of Stores' LotCheck
     * @param  array<string, string>  $answers by question
     */
    public function __construct(public string $verdict, public ?Said $says, public array $answers) {}

    public static function of(Stored $data): self
    {
        return new self($data->text('verdict'), $data->said('says'), $data->words('answers'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['verdict' => $this->verdict, 'says' => $this->says?->toArray(), 'answers' => $this->answers];
    }

    /** Whether it did not pass, which closes the batch. */
    public function closes(): bool
    {
        return $this->verdict === Condition::PAST;
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return $this->closes() ? Event::discarded($at) : Event::done(Step::Smell->value, $at);
    }

    public function rests(): bool
    {
        return true;
    }

    public function movesTheDiary(): bool
    {
        return true;
    }
}
