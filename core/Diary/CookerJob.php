<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Warmth\Load;

/**
 * A batch that still wants warmth, as the diary sees it.
 *
 * @phpstan-type Kept array{id: string, called: string|array<string, mixed>, kind: string, target_c: float|int,
 *     ceiling_c: float|int, hours: float|int, widths: list<float|int>, earliest: int, due_by: ?int, attended: bool,
 *     stands_in: ?string, on_since: ?int, load: array{j_per_k: float|int, w_per_k: float|int, floor_m2: float|int,
 *     depth_mm: float|int, poured_c: float|int|null}|null, warm_up_min: int, tail_min: int}
 */
final readonly class CookerJob
{
    /**
     * @param  string|array<string, mixed>  $called what is warmed, as a sentence keeps it
     * @param  string  $kind id of the method: only a cooker for that will do
     * @param  float  $hours at warmth still to come
     * @param  list<float>  $widths outer diameters of its jars, mm
     * @param  \DateTimeImmutable  $earliest when its jars can first stand in a cooker
     * @param  ?\DateTimeImmutable  $dueBy when its warmth must be over
     * @param  bool  $attended whether somebody must be by
     * @param  ?string  $standsIn id of the cooker it stands in already
     * @param  ?\DateTimeImmutable  $onSince when that was switched on
     * @param  ?Load  $load its jars, to reckon how long they take to get warm in a cooker
     * @param  int  $tailMin minutes somebody has to be there for after the heat
     * @param  int  $warmUpMin minutes that takes, where it cannot be reckoned
     */
    public function __construct(
        public string $id,
        public string|array $called,
        public string $kind,
        public float $targetC,
        public float $ceilingC,
        public float $hours,
        public array $widths,
        public \DateTimeImmutable $earliest,
        public ?\DateTimeImmutable $dueBy = null,
        public bool $attended = true,
        public ?string $standsIn = null,
        public ?\DateTimeImmutable $onSince = null,
        public ?Load $load = null,
        public int $warmUpMin = 0,
        public int $tailMin = 0,
    ) {}

    /** @return Kept */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'called' => $this->called,
            'kind' => $this->kind,
            'target_c' => $this->targetC,
            'ceiling_c' => $this->ceilingC,
            'hours' => round($this->hours, 4),
            'widths' => $this->widths,
            'earliest' => $this->earliest->getTimestamp(),
            'due_by' => $this->dueBy?->getTimestamp(),
            'attended' => $this->attended,
            'stands_in' => $this->standsIn,
            'on_since' => $this->onSince?->getTimestamp(),
            'load' => $this->load?->toArray(),
            'warm_up_min' => $this->warmUpMin,
            'tail_min' => $this->tailMin,
        ];
    }

    /**
     * @param  Kept  $stored of toArray()
     */
    public static function of(array $stored, \DateTimeZone $zone): self
    {
        $moment = fn (int $seconds): \DateTimeImmutable => (new \DateTimeImmutable('@'.$seconds))->setTimezone($zone);

        return new self(
            $stored['id'],
            $stored['called'],
            $stored['kind'],
            (float) $stored['target_c'],
            (float) $stored['ceiling_c'],
            (float) $stored['hours'],
            array_map(floatval(...), $stored['widths']),
            $moment($stored['earliest']),
            $stored['due_by'] === null ? null : $moment($stored['due_by']),
            $stored['attended'],
            $stored['stands_in'],
            $stored['on_since'] === null ? null : $moment($stored['on_since']),
            $stored['load'] === null ? null : Load::of($stored['load']),
            $stored['warm_up_min'],
            $stored['tail_min'],
        );
    }

    /** Whether two may stand in one water: within two degrees of each other. */
    public function sharesWarmthWith(self $other): bool
    {
        return $this->kind === $other->kind &&
            $this->attended === $other->attended &&
            abs($this->targetC - $other->targetC) <= 2 &&
            abs($this->ceilingC - $other->ceilingC) <= 2;
    }
}
