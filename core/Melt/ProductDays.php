<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Diary\Availability;
use Kettle\Reason\Figure;
use Kettle\Reason\Reason;
use Kettle\Reason\Said;
use Kettle\Time\Later;

/**
 * When a product is made: backwards from the day it is wanted, through the hours it takes to set and through each oil
 * that is not bottled yet, by when somebody is at home.
 */
final readonly class ProductDays
{
    /** No product is made so long before it is wanted for want of an hour at home, days. */
    private const LOOK_BACK_DAYS = 60;

    /**
     * @param  \DateTimeImmutable  $makeAt from when on it is made: the last hour that does for the day wanted, or the
     *     first there is oil for
     * @param  \DateTimeImmutable  $firstReady where it is late, the first day it could be ready by
     * @param  list<OilDay>  $oils those that are not bottled yet
     * @param  float  $setsH hours before it can be used
     */
    private function __construct(
        public ?\DateTimeImmutable $readyBy,
        public \DateTimeImmutable $makeAt,
        public \DateTimeImmutable $firstReady,
        public bool $late,
        public array $oils,
        private int $minutes,
        private float $setsH,
    ) {}

    /**
     * Null where no day is wanted and every oil is there.
     *
     * @throws MeltException when an oil cannot be made in that amount
     */
    public static function of(ProductWish $wish, Composition $pot, float $minutes, House $house, MeltTable $table): ?self
    {
        $toCome = [];
        foreach ($wish->oils as $index => $going) {
            foreach ($going->part->infused?->isToCome() === true ? $pot->weighed : [] as $each) {
                if ($each->part->key() === $going->part->key()) {
                    $toCome[$index] = $each;
                }
            }
        }
        if ($wish->readyBy === null && $toCome === []) {
            return null;
        }
        $kitchen = $house->kitchen;
        $work = (int) ceil($minutes);
        $setsH = $table->setsH($wish->product);
        $latest =
            $wish->readyBy === null
                ? null
                : self::lastWhile($kitchen->waking, Later::hours($kitchen->waking->from($wish->readyBy), -$setsH), $work, $kitchen->now);
        // The oil is in its bottles the day before.
        $oilBy = $latest?->setTime(0, 0)->modify('-1 day');
        $oils = [];
        foreach ($toCome as $index => $each) {
            $oils[] = OilDay::of($index, $each, $oilBy !== null && $oilBy >= $kitchen->today() ? $oilBy : null);
        }
        $soonest = $kitchen->waking->forWork(max([$kitchen->now, ...array_map(fn (OilDay $oil) => $oil->pourableAt, $oils)]), $work);
        $late = $wish->readyBy !== null && ($latest === null || $soonest > $latest);
        $makeAt = $latest === null || $late ? $soonest : $latest;

        return new self(
            $wish->readyBy,
            $makeAt,
            self::readyOn($kitchen->waking, Later::hours(Later::minutes($soonest, $work), $setsH)),
            $late,
            $oils,
            $work,
            $setsH,
        );
    }

    /** Whether it cannot be begun now, for want of an oil. */
    public function waits(): bool
    {
        return $this->oils !== [];
    }

    /** Until when an oil that is not begun yet will be good; null of any other. */
    public function until(Part $part): ?\DateTimeImmutable
    {
        foreach ($this->oils as $oil) {
            if ($oil->isOf($part)) {
                return $oil->bestBefore();
            }
        }

        return null;
    }

    /** The first day to begin an oil that is not begun yet. */
    public function startBy(): ?\DateTimeImmutable
    {
        $starts = array_filter(array_map(fn (OilDay $oil) => $oil->startBy, $this->oils));

        return $starts === [] ? null : min($starts);
    }

    /** @return array<string, Figure> by id */
    public function figures(): array
    {
        $figures = [
            'make_on' => Figure::exactly(
                'make_on',
                $this->makeAt->format('Y-m-d'),
                'date',
                $this->readyBy === null || $this->late
                    ? Reason::rule('melt-make-soonest', ['moment' => ['moment' => $this->makeAt]])
                    : Reason::rule('melt-make-on', [
                        'moment' => ['moment' => $this->makeAt],
                        'minutes' => ['h' => $this->minutes / 60],
                        'sets' => ['h' => $this->setsH],
                        'ready_by' => ['day' => $this->readyBy],
                    ]),
            ),
        ];
        $startBy = $this->startBy();
        foreach ($this->oils as $oil) {
            if ($oil->startBy !== null && $oil->startBy == $startBy) {
                $figures['oil_start_by'] = Figure::exactly('oil_start_by', $oil->startBy->format('Y-m-d'), 'date', $oil->why());
                break;
            }
        }

        return $figures;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return [
            'ready_by' => $this->readyBy?->format('Y-m-d'),
            'ready_text' => $this->readyBy === null
                    ? null
                    : Said::just(['weekday' => ($this->late ? $this->firstReady : $this->readyBy)->format('Y-m-d')]),
            'make_at' => $this->makeAt->format(DATE_ATOM),
            'make_text' => Said::just(['long_moment' => $this->makeAt->format(DATE_ATOM)]),
            'first_ready' => $this->late ? $this->firstReady->format('Y-m-d') : null,
            'late' => $this->late,
            'oils' => array_map(fn (OilDay $oil) => $oil->document(), $this->oils),
        ];
    }

    /** From when on there is time for it before a moment; null where nobody has so long before. */
    private static function lastWhile(
        Availability $waking,
        \DateTimeImmutable $before,
        int $minutes,
        \DateTimeImmutable $now,
    ): ?\DateTimeImmutable {
        $day = $before->setTime(0, 0);
        for ($back = 0; $back <= self::LOOK_BACK_DAYS && $day >= $now->setTime(0, 0); $back++, $day = $day->modify('-1 day')) {
            foreach (array_reverse($waking->on($day)) as $while) {
                $from = Later::minutes(min($while->to, $before), -$minutes);
                if ($from >= $while->from && $from >= $now) {
                    return $from;
                }
            }
        }

        return null;
    }

    /** The first day that begins after a moment. */
    private static function readyOn(Availability $waking, \DateTimeImmutable $moment): \DateTimeImmutable
    {
        $day = $moment->setTime(0, 0);

        return $waking->from($day) >= $moment ? $day : $day->modify('+1 day');
    }
}
