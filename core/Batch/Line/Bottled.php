<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Diary\Event;
use Kettle\Diary\Step;

/** Filled into bottles. */
final readonly class Bottled extends Line
{
    public const KIND = 'bottled';

    /**
     * @param  list<FilledSize>  $bottles
     * @param  array<string, string>  $storedAs how they are kept, as far as it was said
     * @param  list<array{lot: string, count: int}>  $taken bottles out of Stores
     */
    public function __construct(
        public array $bottles,
        public float $filledMl,
        public ?float $leftMl,
        public array $storedAs = [],
        public array $taken = [],
    ) {}

    public static function of(Stored $data): self
    {
        return new self(
            array_map(FilledSize::of(...), $data->parts('bottles')),
            $data->number('filled_ml'),
            $data->numberOrNull('left_ml'),
            $data->words('kept'),
            array_map(fn (Stored $each) => ['lot' => $each->text('lot'), 'count' => $each->count('count')], $data->parts('taken')),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'bottles' => array_map(fn (FilledSize $size) => $size->data(), $this->bottles),
            'filled_ml' => $this->filledMl,
            'left_ml' => $this->leftMl,
            'kept' => $this->storedAs,
            'taken' => $this->taken,
        ];
    }

    /** @return array<string, float> bottles taken from Stores, by lot */
    public function takenByLot(): array
    {
        $taken = [];
        foreach ($this->taken as $each) {
            $taken[$each['lot']] = ($taken[$each['lot']] ?? 0.0) + $each['count'];
        }

        return $taken;
    }

    public function event(\DateTimeImmutable $at): Event
    {
        return Event::done(Step::Bottle->value, $at);
    }

    public function carries(): bool
    {
        return true;
    }
}
