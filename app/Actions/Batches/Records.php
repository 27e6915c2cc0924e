<?php

namespace App\Actions\Batches;

use App\House\KitchenFactory;
use App\House\WhenDone;
use App\Models\Batch;
use Illuminate\Container\Attributes\Scoped;
use Illuminate\Support\Carbon;
use Kettle\Batch\BatchState;
use Kettle\Batch\Lateness;
use Kettle\Batch\Logbook as CoreLogbook;
use Kettle\Batch\Record;
use Kettle\Batch\StoredAs;
use Kettle\Caution\CautionException;
use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\Progress;
use Kettle\Infusion\Methods;
use Kettle\Keeping\Keeping;
use Kettle\Material\Cupboard;
use Kettle\Stores\LotKind;
use Kettle\Time\Day;
use Kettle\Time\Interval;

/** Batches as the core reads them: their plan, their logbook, their place in the diary. */
#[Scoped]
final readonly class Records
{
    /** @var \WeakMap<object, array{int, CoreLogbook}> of entries that were loaded: how many were read, and as what */
    private \WeakMap $read;

    public function __construct(
        private KitchenFactory $kitchens,
        private Methods $methods,
        private Cupboard $cupboard,
        private WhenDone $done,
    ) {
        $this->read = new \WeakMap();
    }

    /** A page asks for it again and again: what was loaded once is read once. */
    public function log(Batch $batch): CoreLogbook
    {
        if (! $batch->relationLoaded('entries')) {
            return LoggedLines::read($batch->entries()->orderBy('id')->get(), $this->kitchens);
        }
        $entries = $batch->entries;
        if (($this->read[$entries][0] ?? null) !== $entries->count()) {
            $this->read[$entries] = [$entries->count(), LoggedLines::read($entries->sortBy('id'), $this->kitchens)];
        }

        return $this->read[$entries][1];
    }

    public function of(Batch $batch): Record
    {
        return new Record(
            $batch->plan,
            $this->log($batch),
            $this->kitchens->local($batch->start_at),
            $this->methods,
            $this->slots($batch),
            $batch->diary?->warmUpMin,
        );
    }

    /** Where it stands in its days, by what was folded of it: many are asked this at once. */
    public function progress(Batch $batch, ?Availability $availability = null): Progress
    {
        // Nothing is asked of what is all used up; what is kept cold has its day before it is bottled too.
        $asks = $batch->shelf->bottlesLeft > 0 || ($batch->use_by !== null && $batch->bottled_at === null);

        return $this->of($batch)->progress(
            $availability ?? $this->kitchens->availability(),
            $asks
                ? BatchState::upkeep(
                    $batch->plan,
                    $batch->use_by === null ? null : $this->kitchens->local($batch->use_by),
                    $this->bestBefore($batch),
                    $this->cupboard->tables(),
                )
                : null,
        );
    }

    /** All that follows from its records. */
    public function state(Batch $batch): BatchState
    {
        return BatchState::of($this->of($batch), $this->kitchens->availability(), $this->cupboard, $this->lots($batch));
    }

    /** Until when it would be good, kept so. */
    public function keeping(Batch $batch, StoredAs $as): Keeping
    {
        return BatchState::keeping(
            $batch->plan,
            $this->progress($batch),
            $as,
            $batch->shelf->warmthSaid,
            $batch->purpose,
            $this->cupboard,
            $this->lots($batch),
        );
    }

    /**
     * What of it is late or over.
     *
     * @param  ?\DateTimeInterface  $at by when; null for now
     */
    public function lateness(Batch $batch, ?\DateTimeInterface $at = null): Lateness
    {
        $local = fn (?Carbon $moment): ?\DateTimeImmutable => $moment === null ? null : $this->kitchens->local($moment);

        return new Lateness(
            $batch->stage,
            $this->kitchens->local($batch->start_at),
            $local($batch->filled_at),
            $this->kitchens->local($batch->strain_at),
            $local($batch->strained_at),
            $this->bestBefore($batch),
            $local($batch->use_by),
            $at === null ? $this->kitchens->now() : $this->kitchens->local($at),
        );
    }

    /** @throws CautionException when nobody may strain, bottle or use it any more */
    public function refuseOver(Batch $batch): void
    {
        $until = $batch->use_by === null ? null : $this->kitchens->local($batch->use_by);
        $this->lateness($batch, $this->done->at())->refuse(
            $until?->format($until->format('Y') === $this->kitchens->now()->format('Y') ? 'D j M, H:i' : 'j M Y, H:i') ?? '',
        );
    }

    /**
     * @param  string  $warmth whether it had what nobody logged; empty where nobody said
     *
     * @throws DiaryException where that has to be said
     */
    public function refuseUnsaidWarmth(Batch $batch, string $warmth): void
    {
        if ($warmth === '' && $this->lacksWarmth($batch)) {
            throw DiaryException::warmthUnknown();
        }
    }

    public function lacksWarmth(Batch $batch): bool
    {
        return $this->of($batch)->lacksWarmth($this->progress($batch));
    }

    private function bestBefore(Batch $batch): \DateTimeImmutable
    {
        return new \DateTimeImmutable($batch->best_before->format('Y-m-d'), $this->kitchens->now()->getTimezone());
    }

    /** @return list<Interval> sessions the diary keeps for it */
    private function slots(Batch $batch): array
    {
        $slots = [];
        foreach ($batch->diary->slots ?? [] as $slot) {
            $slots[] = new Interval($this->kitchens->local($slot->from), $this->kitchens->local($slot->to));
        }

        return $slots;
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
                'opened' => Day::earliest($known['opened'], $day($lot->opened_on)),
                'best_before' => Day::earliest($known['best_before'], $day($lot->best_before)),
            ];
        }

        return $lots;
    }
}
