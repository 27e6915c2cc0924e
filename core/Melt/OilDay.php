<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Recipe\Plan;
use Kettle\Recipe\WishException;

/** One oil of a product that is not in its bottles yet: by when it is begun, and from when it can be poured. */
final readonly class OilDay
{
    /**
     * @param  int  $index in the wish's oils
     * @param  array<string, mixed>  $said its name, as a sentence keeps it
     * @param  ?\DateTimeImmutable  $startBy the last day to begin it; null where it stands already
     * @param  ?\DateTimeImmutable  $by the day it is to be bottled by; null where that is as soon as can be
     * @param  ?Plan  $plan of it, where it is not begun
     * @param  array<mixed>  $wish of it likewise
     */
    private function __construct(
        public int $index,
        private string $key,
        private array $said,
        private float $ml,
        public \DateTimeImmutable $pourableAt,
        public ?\DateTimeImmutable $startBy,
        private ?\DateTimeImmutable $by,
        public ?Plan $plan,
        private array $wish,
    ) {}

    /**
     * @param  ?\DateTimeImmutable  $by the day it is to be bottled by
     *
     * @throws MeltException when so much of it cannot be made
     */
    public static function of(int $index, Weighed $each, ?\DateTimeImmutable $by): self
    {
        $part = $each->part;
        $toInfuse = $part->infused?->toInfuse;
        if ($toInfuse === null) {
            assert($part->infused?->from !== null);

            return new self($index, $part->key(), $part->said, $each->ml(), $part->infused->from, null, $by, null, []);
        }
        try {
            $plan = $toInfuse->planned($each->ml(), $by);
        } catch (WishException $refused) {
            throw MeltException::oilSaysNo($refused, "oils.{$index}.infuse");
        }
        $zone = $plan->timetable->fillAt->getTimezone();
        // Where the last day for it has gone, it is begun as soon as can be, and what comes of that is told.
        $start = max(new \DateTimeImmutable($plan->figures['start_by']->text(), $zone), $plan->timetable->beginAt->setTime(0, 0));

        return new self(
            $index,
            $part->key(),
            $part->said,
            $each->ml(),
            $plan->timetable->bottledAt(),
            $start,
            $by,
            $plan,
            $toInfuse->wish($each->ml(), $by),
        );
    }

    /** Until when it would be good, begun then. */
    public function bestBefore(): ?\DateTimeImmutable
    {
        return $this->plan?->keeping->bestBefore;
    }

    public function isOf(Part $part): bool
    {
        return $part->key() === $this->key;
    }

    public function why(): Reason
    {
        return $this->by === null
            ? Reason::rule('melt-oil-soonest', ['oil' => $this->said, 'moment' => ['moment' => $this->pourableAt]])
            : Reason::rule('melt-oil-by', ['oil' => $this->said, 'by' => ['day' => $this->by]]);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'index' => $this->index,
            'name' => Said::just($this->said),
            'ml' => round($this->ml, 3),
            'start_by' => $this->startBy?->format('Y-m-d'),
            'start_text' => $this->startBy === null ? null : Said::just(['weekday' => $this->startBy->format('Y-m-d')]),
            'pourable_at' => $this->pourableAt->format(DATE_ATOM),
            'pourable_text' => Said::just(['weekday' => $this->pourableAt->format('Y-m-d')]),
            'wish' => $this->plan === null ? null : $this->wish,
        ];
    }
}
