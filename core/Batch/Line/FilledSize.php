<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** So many bottles of one size. */
final readonly class FilledSize
{
    /** @param  string  $size its id in the house */
    public function __construct(public string $size, public string $called, public float $capacityMl, public int $count) {}

    public static function of(Stored $data): self
    {
        return new self($data->text('size'), $data->text('called'), $data->number('capacity_ml'), $data->count('count'));
    }

    /** @return array{size: string, called: string, capacity_ml: float, count: int} */
    public function data(): array
    {
        return ['size' => $this->size, 'called' => $this->called, 'capacity_ml' => $this->capacityMl, 'count' => $this->count];
    }
}
