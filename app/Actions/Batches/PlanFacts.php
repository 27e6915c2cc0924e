<?php

namespace App\Actions\Batches;

use App\Models\Batch;
use Kettle\Material\Blend;
use Kettle\Material\State;
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
        return $this->blend($batch)->density(Planner::ROOM_C);
    }

    public function blend(Batch $batch): Blend
    {
        /** @var list<array{id: string, share: float|int}> $oils */
        $oils = $batch->plan['oils'];

        return Blend::of(array_map(
            fn (array $oil) => ['carrier' => $this->bench->cupboard()->carrier($oil['id']), 'parts' => (float) $oil['share']], $oils,
        ));
    }

    /** Herb as if shelf-dry, g; batches from before it was written down have only what they weighed. */
    public function dryG(Batch $batch): float
    {
        $dry = $batch->plan['dry_g'] ?? null;

        return is_numeric($dry) ? (float) $dry : $this->number($batch, 'herb_mass');
    }

    /** Under what the oil left in its herb is learned; null for a mix of forms. */
    public function uptakeKey(Batch $batch): ?string
    {
        $plan = $batch->plan;
        if (array_key_exists('uptake_key', $plan)) {
            return is_string($plan['uptake_key']) ? $plan['uptake_key'] : null;
        }
        /** @var list<array{form: string}> $herbs */
        $herbs = $plan['herbs'] ?? [$plan['herb']];
        $forms = array_unique(array_column($herbs, 'form'));

        return count($forms) === 1 ? $forms[0].(($plan['state'] ?? 'dried') === 'dried' ? '' : ', wet') : null;
    }

    /** @return array{water: float, watery: bool} of the wettest of its herbs when they went in */
    public function wetness(Batch $batch): array
    {
        /** @var list<array{id?: string, state?: string, water?: float|int}> $herbs */
        $herbs = $batch->plan['herbs'] ?? [$batch->plan['herb']];
        $wet = array_filter($herbs, fn (array $herb) => ($herb['state'] ?? 'dried') !== 'dried');
        $water = array_map(fn (array $herb) => (float) ($herb['water'] ?? State::tryFrom($herb['state'] ?? '')?->usualWater() ?? State::Fresh->usualWater()), $wet);

        return [
            'water' => $water === [] ? 0.0 : max($water),
            'watery' => array_filter($wet, fn (array $herb) => ($this->bench->cupboard()->herbs()[$herb['id'] ?? ''] ?? null)?->isWatery() ?? true) !== [],
        ];
    }

    public function way(Batch $batch): string
    {
        return is_string($batch->plan['way'] ?? null) ? $batch->plan['way'] : 'squeezed';
    }

    /** Of a plan before there was a word for it, or a batch not folded yet: as it was planned. */
    public static function purpose(Batch $batch): string
    {
        return is_string($batch->plan['purpose'] ?? null) ? $batch->plan['purpose'] : 'skin';
    }

    private function part(Batch $batch, string $figure, string $part): float
    {
        $figures = $batch->plan['figures'] ?? null;
        $value = is_array($figures) && is_array($figures[$figure] ?? null) ? ($figures[$figure][$part] ?? null) : null;

        return is_int($value) || is_float($value) ? (float) $value : throw new \LogicException("The plan of {$batch->code} has no {$figure}.");
    }
}
