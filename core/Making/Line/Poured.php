<?php

declare(strict_types=1);

namespace Kettle\Making\Line;

use Kettle\Batch\Line\Line;
use Kettle\Batch\Stored;

/** Poured into tins, jars, sticks or bottles. */
final readonly class Poured extends Line
{
    public const KIND = 'poured';

    /**
     * @param  list<array{ml: float, holds_ml: float, count: int}>  $tins sizes to the brim, and what each was filled with
     * @param  ?float  $leftMl over, put somewhere else; null where nobody looked
     * @param  string  $where they stand
     * @param  list<array{lot: string, count: int}>  $taken empty ones out of Stores
     */
    public function __construct(public array $tins, public ?float $leftMl, public string $where = '', public array $taken = []) {}

    public static function of(Stored $data): self
    {
        return new self(
            array_map(
                fn (Stored $tin) => ['ml' => $tin->number('ml'), 'holds_ml' => $tin->number('holds_ml'), 'count' => $tin->count('count')],
                $data->parts('tins'),
            ),
            $data->numberOrNull('left_ml'),
            $data->text('where'),
            array_map(fn (Stored $each) => ['lot' => $each->text('lot'), 'count' => $each->count('count')], $data->parts('taken')),
        );
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['tins' => $this->tins, 'left_ml' => $this->leftMl, 'where' => $this->where, 'taken' => $this->taken];
    }

    public function carries(): bool
    {
        return true;
    }

    /** mL in them all. */
    public function ml(): float
    {
        return array_sum(array_map(fn (array $tin) => $tin['holds_ml'] * $tin['count'], $this->tins));
    }
}
