<?php

namespace App\Actions\Batches;

use App\House\Kitchens;
use App\Models\Batch;
use Illuminate\Support\Carbon;
use Kettle\Caution\ColdKept;
use Kettle\Diary\Course;
use Kettle\Diary\Upkeep;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\KeptFacts;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Stores\LotKind;

/** Until when a batch is good, from what went in, the heat it had, and how it is kept now. */
final readonly class KeptOil
{
    public function __construct(private PlanFacts $facts, private Kitchens $kitchens, private Tables $tables)
    {
    }

    /**
     * @param  array{place: string, glass: string, antioxidant: string}  $as
     * @param  ?string  $warmth had or not, as it was said at straining where nobody logged it; null to take what the batch has
     */
    public function keeping(Batch $batch, Course $course, array $as, ?string $warmth = null): Keeping
    {
        $plan = $batch->plan;
        $method = is_array($plan['method'] ?? null) ? $plan['method'] : [];
        $planned = is_numeric($method['hours'] ?? null) ? (float) $method['hours'] : 0.0;
        $hours = match (true) {
            ($warmth ?? $batch->shelf['warmth_said'] ?? '') === 'had' => max($planned, $course->warmed->hours()),
            // Until it is strained its warmth is still to come, and is taken as planned.
            $course->strainedAt === null && ($method['heated'] ?? false) === true => max($planned, $course->warmed->hours()),
            default => $course->warmed->hours(),
        };
        $target = $method['target_c'] ?? null;

        return Keeping::of($this->facts->blend($batch), State::tryFrom(is_string($plan['state'] ?? null) ? $plan['state'] : '') ?? State::Dried, new KeptFacts(
            $course->filledAt ?? $course->timetable->fillAt,
            $course->strainedAt ?? $course->timetable->strainAt,
            self::way($batch),
            is_numeric($target) && $hours > 0 ? [['hours' => $hours, 'celsius' => (float) $target]] : [],
            $this->lots($batch),
            $as['place'], $as['glass'], $as['antioxidant'], false, ...$this->facts->wetness($batch), kitchen: ($batch->purpose ?: PlanFacts::purpose($batch)) === 'kitchen',
        ), $this->tables);
    }

    /** shelf, fridge or soured, as it was planned */
    public static function way(Batch $batch): string
    {
        $kept = $batch->plan['kept'] ?? null;

        return is_string($kept) && in_array($kept, ColdKept::KEPT, true) ? $kept : ColdKept::SHELF;
    }

    public function upkeep(Batch $batch): Upkeep
    {
        $checks = $this->tables->table('keeping')->row('checks');
        $days = fn (string $key): int => (int) $checks->row($key)->number('value');
        $wet = ($batch->plan['state'] ?? 'dried') !== 'dried';
        $until = $batch->use_by === null
            ? new \DateTimeImmutable($batch->best_before->format('Y-m-d').' 20:00', $this->kitchens->now()->getTimezone())
            : $this->kitchens->local($batch->use_by);

        return new Upkeep($until, $days('first_days'), $days($wet ? 'every_days_wet' : 'every_days'), $batch->use_by !== null);
    }

    /** @return array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}> of its oils, the oldest of each */
    private function lots(Batch $batch): array
    {
        $zone = $this->kitchens->now()->getTimezone();
        $day = fn (?Carbon $day) => $day === null ? null : new \DateTimeImmutable($day->format('Y-m-d'), $zone);
        $lots = [];
        foreach (LotsUsed::of($batch) as $lot) {
            if ($lot->kind !== LotKind::Carrier) {
                continue;
            }
            $known = $lots[$lot->material] ?? ['opened' => null, 'best_before' => null];
            $lots[$lot->material] = [
                'opened' => self::earlier($known['opened'], $day($lot->opened_on)), 'best_before' => self::earlier($known['best_before'], $day($lot->best_before)),
            ];
        }

        return $lots;
    }

    private static function earlier(?\DateTimeImmutable $a, ?\DateTimeImmutable $b): ?\DateTimeImmutable
    {
        return $a === null || $b === null ? $a ?? $b : min($a, $b);
    }
}
