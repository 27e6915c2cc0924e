<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Diary\Availability;
use Kettle\Diary\Progress;
use Kettle\Diary\Routine;
use Kettle\Diary\Upkeep;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Time\Interval;

/** A batch as it is stored: its plan, its logbook, and what the diary keeps for it. All else is folded from these. */
final readonly class Record
{
    /** Of the planned hours, so much is as good as all of it. */
    private const MOST_OF = 0.5;

    /**
     * @param  \DateTimeImmutable  $startAt when it is planned to be filled, in the house's zone
     * @param  list<Interval>  $slots sessions the diary keeps for it
     * @param  ?int  $warmUpMin minutes of getting warm beside what else stands in the cooker; null for as it was planned
     */
    public function __construct(
        public FrozenPlan $plan,
        public Logbook $log,
        public \DateTimeImmutable $startAt,
        private Methods $methods,
        public array $slots = [],
        public ?int $warmUpMin = null,
    ) {}

    /** The oil that went in, mL: as it was planned, and what it was topped up with. */
    public function oilInMl(): float
    {
        return $this->plan->figure('oil_volume') + $this->log->toppedUpMl();
    }

    /** Of what it stands in, to the brim; the herb takes of it what it takes. mL */
    public function holdsMl(): float
    {
        return $this->plan->jar->count * $this->plan->jar->brimMl;
    }

    /** @return array<string, float> mL of each of its oils that it was topped up with, by carrier, as far as it was measured */
    public function toppedUp(): array
    {
        $ml = $this->log->toppedUpMl();

        return array_column(array_map(fn (PlannedOil $oil) => [$oil->id, $oil->share * $ml], $this->plan->oils), 1, 0);
    }

    /** @return array{low: float, value: float, high: float} mL out of the cloth: the herb keeps what it keeps, however much is on it */
    public function expected(): array
    {
        return array_map(fn (float $ml) => $ml + $this->log->toppedUpMl(), $this->plan->expected());
    }

    /** As the batch goes about it. */
    public function method(): Method
    {
        return $this->plan->method->practised($this->methods);
    }

    /** What it asks of the days. In a cooker shared with others it takes as long as they do together. */
    public function routine(): Routine
    {
        return $this->plan->routine($this->methods, $this->warmUpMin);
    }

    /** @param  ?Upkeep  $upkeep of what is bottled, or kept cold; null when none is left */
    public function progress(Availability $availability, ?Upkeep $upkeep = null): Progress
    {
        return Progress::follow($this->routine(), $this->startAt, $availability, $this->log->events(), $this->slots, $upkeep);
    }

    /** Whether the warmth that was planned is not in the records: too little to say that it was had. */
    public function lacksWarmth(Progress $progress): bool
    {
        // What is kept cold has its four days with warmth or without.
        return ! $this->plan->isColdKept() &&
            $this->method()->heated &&
            $progress->warmed->hours() < self::MOST_OF * $this->plan->method->hours;
    }
}
