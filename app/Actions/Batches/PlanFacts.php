<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use Kettle\Material\Blend;
use Kettle\Measure\Density;
use Kettle\Recipe\Bench;
use Kettle\Recipe\Planner;

/** Figures of a batch's frozen plan, by id. */
final readonly class PlanFacts
{
    public function __construct(private Bench $bench)
    {
    }

    public function number(Batch $batch, string $figure): float
    {
        return $this->part($batch, $figure, 'value');
    }

    /** @return array{low: float, value: float, high: float} mL */
    public function expected(Batch $batch): array
    {
        return [
            'low' => $this->part($batch, 'yield_volume', 'low'),
            'value' => $this->part($batch, 'yield_volume', 'value'),
            'high' => $this->part($batch, 'yield_volume', 'high'),
        ];
    }

    /** Of the oil as it was blended, at the room's warmth. */
    public function density(Batch $batch): Density
    {
        /** @var list<array{id: string, share: float|int}> $oils */
        $oils = $batch->plan['oils'];

        return Blend::of(array_map(
            fn (array $oil) => ['carrier' => $this->bench->cupboard()->carrier($oil['id']), 'parts' => (float) $oil['share']], $oils,
        ))->density(Planner::ROOM_C);
    }

    private function part(Batch $batch, string $figure, string $part): float
    {
        $figures = $batch->plan['figures'] ?? null;
        $value = is_array($figures) && is_array($figures[$figure] ?? null) ? ($figures[$figure][$part] ?? null) : null;

        return is_int($value) || is_float($value) ? (float) $value : throw new \LogicException("The plan of {$batch->code} has no {$figure}.");
    }
}
