<?php

namespace App\Actions\Batches;

use App\House\Kitchens;
use App\Models\Batch;
use Illuminate\Support\Carbon;
use Kettle\Diary\Course;
use Kettle\Diary\Upkeep;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\KeptFacts;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Stores\LotKind;

/** Until when a batch is good, from what went in, the heat it had, and how it is kept now. */
final readonly class KeptOil
{
    public function __construct(private Cupboard $cupboard, private Kitchens $kitchens, private Tables $tables)
    {
    }

    /**
     * @param  array{place: string, glass: string, antioxidant: string}  $as
     * @param  ?string  $warmth had or not, as it was said at straining where nobody logged it; null to take what the batch has
     */
    public function keeping(Batch $batch, Course $course, array $as, ?string $warmth = null): Keeping
    {
        $plan = $batch->plan;
        $hours = match (true) {
            ($warmth ?? $batch->shelf['warmth_said'] ?? '') === 'had' => max($plan->method->hours, $course->warmed->hours()),
            // Until it is strained its warmth is still to come, and is taken as planned.
            $course->strainedAt === null && $plan->method->heated => max($plan->method->hours, $course->warmed->hours()),
            default => $course->warmed->hours(),
        };
        $target = $plan->method->targetC;

        return Keeping::of($plan->blend($this->cupboard), $plan->state, new KeptFacts(
            $course->filledAt ?? $course->timetable->fillAt,
            $course->strainedAt ?? $course->timetable->strainAt,
            $plan->kept,
            $target !== null && $hours > 0 ? [['hours' => $hours, 'celsius' => $target]] : [],
            $this->lots($batch),
            $as['place'], $as['glass'], $as['antioxidant'], false, ...$plan->wetness($this->cupboard), kitchen: ($batch->purpose ?: $plan->purpose) === 'kitchen',
        ), $this->tables);
    }

    public function upkeep(Batch $batch): Upkeep
    {
        $checks = $this->tables->table('keeping')->row('checks');
        $days = fn (string $key): int => (int) $checks->row($key)->number('value');
        $wet = $batch->plan->state->isWet();
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
