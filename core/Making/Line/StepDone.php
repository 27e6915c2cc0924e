<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** A step of the plan that is neither weighing, trying nor pouring: melted, whipped, wiped, labelled. */
final readonly class StepDone extends Line
{
    public const KIND = 'did';

    /**
     * @param  ?float  $celsius how warm it was, where that was looked at
     * @param  ?float  $massG what was in the pot after it, where that was weighed
     */
    public function __construct(public string $step, public ?float $celsius = null, public ?float $massG = null) {}

    public static function of(Stored $data): self
    {
        return new self($data->text('step'), $data->numberOrNull('celsius'), $data->numberOrNull('mass_g'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['step' => $this->step, 'celsius' => $this->celsius, 'mass_g' => $this->massG];
    }

    public function rests(): bool
    {
        return false;
    }
}
