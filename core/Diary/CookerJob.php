<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** A batch that still wants warmth, as the diary sees it. */
final readonly class CookerJob
{
    /**
     * @param  string  $kind id of the method: only a cooker for that will do
     * @param  float  $hours at warmth still to come
     * @param  list<float>  $widths outer diameters of its jars, mm
     * @param  \DateTimeImmutable  $earliest when its jars can first stand in a cooker
     * @param  ?\DateTimeImmutable  $dueBy when its warmth must be over
     * @param  bool  $attended whether somebody must be by
     * @param  ?string  $standsIn id of the cooker it stands in already
     * @param  ?\DateTimeImmutable  $onSince when that was switched on
     */
    public function __construct(
        public string $id,
        public string $called,
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
    ) {
    }

    /** Whether two may stand in one water: within two degrees of each other. */
    public function sharesWarmthWith(self $other): bool
    {
        return $this->kind === $other->kind && $this->attended === $other->attended
            && abs($this->targetC - $other->targetC) <= 2 && abs($this->ceilingC - $other->ceilingC) <= 2;
    }
}
