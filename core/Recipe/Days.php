<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Booking;
use Kettle\Diary\CookerJob;
use Kettle\Diary\Routine;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Method;
use Kettle\Time\Later;
use Kettle\Vessel\WaterBath;

/**
 * When a wish is begun and ready: from a start, or backwards from the day it is wanted; round what the cookers are
 * booked for already.
 */
final readonly class Days
{
    /** Begun so many days sooner at the most, where a booked cooker makes it late. */
    private const SOONER_DAYS = 7;

    /**
     * @param  \DateTimeImmutable  $startBy the latest day to begin, or the day it begins where no day is wanted
     * @param  ?\DateTimeImmutable  $latest the latest start for the day wanted; may have gone by
     * @param  bool  $waits whether what is booked before it makes it wait
     * @param  ?Booking  $booking its place in a cooker; null where it needs none, or the house has said of none
     */
    private function __construct(
        public Timetable $timetable,
        public \DateTimeImmutable $startBy,
        public ?\DateTimeImmutable $latest,
        public bool $late,
        public WarmUp $warmUp,
        public ?Booking $booking,
        public bool $waits = false,
    ) {}

    /**
     * @param  ?Amounts  $amounts what it comes to, where that is known: more takes longer to get warm
     * @param  bool  $among whether what is booked may be placed anew for it, as it is when it is begun; else it goes where there is room
     */
    public static function of(Wish $wish, Kitchen $kitchen, ?Amounts $amounts = null, bool $among = true): self
    {
        $waking = $kitchen->waking;
        $today = $kitchen->today();
        $warmUp = WarmUp::of($wish, $kitchen, $amounts);
        $routine = $wish->routine($warmUp->min);
        $latest = $wish->days->readyBy === null ? null : Timetable::latestStart($routine, $wish->days->readyBy, $waking);
        $start = $wish->days->start ?? ($latest !== null && $latest > $today ? $latest : $today);
        $booked = fn (\DateTimeImmutable $day): array => self::booked(
            $wish,
            $routine,
            $kitchen,
            $warmUp,
            $day == $today ? $kitchen->now : $waking->midMorning($day),
            $amounts,
            $among,
        );
        [$timetable, $booking, $waits] = $booked($start);
        if ($booking !== null && $wish->days->start === null && $wish->days->readyBy !== null) {
            // A cooker that is taken then may be free some days before.
            for ($sooner = 1; $sooner <= self::SOONER_DAYS && $timetable->readyDay() > $wish->days->readyBy && $start > $today; $sooner++) {
                $latest = $start = $start->modify('-1 day');
                [$timetable, $booking, $waits] = $booked($start);
            }
        }

        return new self(
            $timetable,
            $latest ?? $start,
            $latest,
            $wish->days->readyBy !== null && $timetable->readyDay() > $wish->days->readyBy,
            $warmUp,
            $booking,
            $waits,
        );
    }

    /** @return array{Timetable, ?Booking, bool} with whether it waits for its place by an hour or more */
    private static function booked(
        Wish $wish,
        Routine $routine,
        Kitchen $kitchen,
        WarmUp $warmUp,
        \DateTimeImmutable $moment,
        ?Amounts $amounts,
        bool $among,
    ): array {
        $timetable = Timetable::lay($routine, $moment, $kitchen->waking);
        $bookings = $kitchen->bookings();
        if (! $wish->method->has(Method::IN_COOKER) || $bookings->placesFor($wish->method->id) === []) {
            return [$timetable, null, false];
        }
        $job = new CookerJob(
            '',
            $wish->mix->said(),
            $wish->method->id,
            $wish->variant->targetC ?? 49.0,
            $wish->variant->ceilingC ?? 60.0,
            $wish->variant->usualH,
            array_fill(0, $amounts->jars ?? ($wish->sizing->jars ?? 1), ($amounts?->jar->diameterMm() ?? 76.0) + 2 * WaterBath::WALL_MM),
            Later::minutes($timetable->fillAt, Timetable::FILLING_MINUTES),
            $wish->days->readyBy === null ? null : Timetable::warmthOverBy($routine, $wish->days->readyBy, $kitchen->waking),
            $wish->practised()->tending->attended,
            load: $warmUp->load,
            warmUpMin: $warmUp->min,
            tailMin: $routine->tailMin(),
        );
        $booking = $bookings->place($job, $kitchen->waking, $kitchen->now, $among);
        if ($booking->slots === []) {
            return [$timetable, $booking, false];
        }

        return [
            Timetable::lay($routine->warmingUpIn($booking->warmUpMin), $moment, $kitchen->waking, slots: $booking->slots),
            $booking,
            $booking->slots[0]->from->getTimestamp() - $timetable->sessions[0]->from->getTimestamp() >= 3600,
        ];
    }
}
