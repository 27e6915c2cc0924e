<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;
use Kettle\Melt\Verdict;

/** How firm it turned out: a drop on a cold spoon, or later in use. */
final readonly class Spooned extends Line
{
    public const KIND = 'spooned';

    /**
     * @param  Verdict  $verdict with how firm it was made by then
     * @param  float  $stuckG that went with the spoons
     * @param  bool  $inUse whether it was poured by then
     */
    public function __construct(public Verdict $verdict, public float $stuckG = 0.0, public bool $inUse = false) {}

    public static function of(Stored $data): self
    {
        return new self(
            new Verdict(
                $data->number('firmness'),
                $data->oneOf('is', Verdict::ALL, Verdict::RIGHT),
                $data->oneOf('by', array_keys(Verdict::FAR), 'plainly'),
                $data->numberOrNull('room_c'),
            ),
            $data->number('stuck_g'),
            $data->flag('in_use'),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'firmness' => round($this->verdict->firmness, 6),
            'is' => $this->verdict->is,
            'by' => $this->verdict->by,
            'room_c' => $this->verdict->roomC,
            'stuck_g' => $this->stuckG,
            'in_use' => $this->inUse,
        ];
    }

    public function carries(): bool
    {
        return ! $this->inUse;
    }

    public function rests(): bool
    {
        return false;
    }
}
