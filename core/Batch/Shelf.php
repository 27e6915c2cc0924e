<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Vessel\Jar;

/** What lists and drawings want of a batch, so that they need not read whole plans and logbooks. */
final readonly class Shelf
{
    /**
     * @param  string  $jar its name, "2 × pint jar"
     * @param  string  $way of Uptake::WAYS
     * @param  bool  $cold whether it is kept cold, and has its hours
     * @param  list<string>  $traits of its method
     * @param  float  $hours to infuse, of which $hadH at warmth were had
     * @param  int  $sessionsLeft warm ones that are to come or going on
     * @param  list<string>  $colours,
     * @param  'bowl'|'jar'|'pan'  $kind
     * @param  string  $method its id
     * @param  string  $seen stood-out, where herb stood out at the last look under the lid
     * @param  ?StoredAs  $storedAs null where it was not folded yet
     * @param  string  $warmthSaid Strained::WARMTH_HAD, or not
     */
    private function __construct(
        public string $jar,
        public string $state,
        public string $way,
        public bool $cold,
        public float $brimMl,
        public string $kind,
        public float $heightMm,
        public float $diameterMm,
        public float $bedMm,
        public float $levelMm,
        public string $method,
        public bool $heated,
        public array $traits,
        public float $hours,
        public int $sessions,
        public int $sessionsLeft,
        public float $hadH,
        public bool $warmNow,
        public array $colours,
        public string $seen,
        public ?float $pouredMl,
        public ?StoredAs $storedAs,
        public string $warmthSaid,
        public int $bottlesLeft,
    ) {}

    /** As it was stored. */
    public static function read(Stored $row): self
    {
        return new self(
            $row->text('jar', 'jar'),
            $row->text('state', 'dried'),
            $row->text('way', 'squeezed'),
            $row->flag('cold'),
            $row->number('brim_ml'),
            $row->oneOf('kind', Jar::KINDS, Jar::JAR),
            $row->number('height_mm'),
            $row->number('diameter_mm'),
            $row->number('bed_mm'),
            $row->number('level_mm'),
            $row->text('method', 'warm'),
            $row->flag('heated'),
            $row->texts('traits'),
            $row->number('hours'),
            $row->count('sessions'),
            $row->count('sessions_left'),
            $row->number('had_h'),
            $row->flag('warm_now'),
            $row->texts('colours'),
            $row->text('seen'),
            $row->numberOrNull('poured_ml'),
            $row->has('kept_as') ? StoredAs::of($row->part('kept_as'), 'cool-dark') : null,
            $row->text('warmth_said'),
            $row->count('bottles_left'),
        );
    }

    /** @param  PlannedJar  $jar what it stands in now */
    public static function of(BatchState $state, PlannedJar $jar): self
    {
        $plan = $state->record->plan;
        $progress = $state->progress;

        return new self(
            $jar->name(),
            $plan->state->value,
            $plan->way,
            $plan->isColdKept(),
            $jar->brimMl,
            $jar->kind,
            $jar->heightMm,
            $jar->diameterMm,
            $jar->bedMm,
            $jar->levelMm,
            $plan->method->id,
            $plan->method->heated,
            $state->record->method()->traits,
            $plan->method->hours,
            count($progress->timetable->sessions),
            $progress->warmSessionsLeft(),
            round($progress->warmed->hours(), 2),
            $progress->warmed->onSince !== null,
            $state->colours,
            $state->herbStoodOut ? 'stood-out' : '',
            $state->pouredMl,
            $state->storedAs,
            $state->strained->warmth ?? '',
            $state->bottlesLeft(),
        );
    }

    /** @return array<string, mixed> as it is stored */
    public function document(): array
    {
        return [
            'jar' => $this->jar,
            'state' => $this->state,
            'way' => $this->way,
            'cold' => $this->cold,
            'brim_ml' => $this->brimMl,
            'kind' => $this->kind,
            'height_mm' => $this->heightMm,
            'diameter_mm' => $this->diameterMm,
            'bed_mm' => $this->bedMm,
            'level_mm' => $this->levelMm,
            'method' => $this->method,
            'heated' => $this->heated,
            'traits' => $this->traits,
            'hours' => $this->hours,
            'sessions' => $this->sessions,
            'sessions_left' => $this->sessionsLeft,
            'had_h' => $this->hadH,
            'warm_now' => $this->warmNow,
            'colours' => $this->colours,
            'seen' => $this->seen,
            'poured_ml' => $this->pouredMl,
            'kept_as' => $this->storedAs?->document(),
            'warmth_said' => $this->warmthSaid,
            'bottles_left' => $this->bottlesLeft,
        ];
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** Whether a warm session is still to come or going on. */
    public function isStillWarming(): bool
    {
        return $this->heated && $this->sessionsLeft > 0;
    }

    /** Share of its hours at warmth that it had, 0 to 1; null for what is not warmed. */
    public function warmShare(): ?float
    {
        return $this->heated && $this->hours > 0 ? min(1.0, $this->hadH / $this->hours) : null;
    }
}
