<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;
use Kettle\Time\Interval;
use Kettle\Time\Later;

/**
 * When one batch is filled, warmed, strained, poured off and bottled, from the moment it may be filled.
 *
 * Heated work is placed only while somebody is up and at home; what does not fit one day goes on the next. What
 * holds its own warmth may run overnight.
 */
final readonly class Timetable
{
    /** A day for sediment to fall: common practice, no source. */
    public const SETTLE_HOURS = 24;

    /** Weighing, packing and pouring before any warmth, minutes. */
    public const FILLING_MINUTES = 30;

    /** Before an oil is cool enough to be strained, minutes: common practice, no source. */
    public const COOLING_MINUTES = 30;

    /** Before a hard fat is strained, minutes: it can be held with a cloth, and is liquid yet. Common practice, no source. */
    public const STILL_WARM_MINUTES = 10;

    /** Less than this at the end of a day is not worth heating a pot for, hours. */
    private const LEAST_SESSION_H = 1.0;

    private const LOOK_BACK_DAYS = 120;

    /** Nobody is waited for longer to be by for an hour at a time. */
    private const LOOK_AHEAD_DAYS = 400;

    /** @param  list<Interval>  $sessions warm sessions, empty on the shelf */
    private function __construct(
        public \DateTimeImmutable $beginAt,
        public \DateTimeImmutable $fillAt,
        public array $sessions,
        public \DateTimeImmutable $strainAt,
        public \DateTimeImmutable $settledAt,
    ) {}

    /**
     * @param  \DateTimeImmutable  $fillAt in the house's zone; moved to the next time somebody is there
     * @param  ?Warmed  $warmed what it has had already
     * @param  bool  $filled whether it is filled already, and its hours run
     * @param  list<Interval>  $slots sessions the diary keeps for it,
     *     in a cooker shared with others
     */
    public static function lay(
        Routine $routine,
        \DateTimeImmutable $fillAt,
        Availability $availability,
        ?Warmed $warmed = null,
        array $slots = [],
        bool $filled = false,
    ): self {
        $warmed ??= Warmed::none();
        $filling = Step::Fill->minutes() + ($routine->method->has(Method::POURED_HOT) ? Step::WarmOil->minutes() : 0);
        $beginAt = $filled ? $fillAt : $availability->forWork($fillAt, $filling);
        $fillAt = $routine->soakH > 0 ? $availability->forWork(Later::hours($beginAt, $routine->soakH), $filling) : $beginAt;
        if (! $routine->method->heated) {
            $strainAt = $availability->midMorning(
                $fillAt->modify('+'.(int) ceil($routine->hours / 24).' days'),
                Step::Strain->minutes(),
            );

            return new self($beginAt, $fillAt, [], $strainAt, self::settled($strainAt, $availability, $routine));
        }
        if ($routine->coldWithinH !== null) {
            return self::inOneGo($routine, $routine->coldWithinH, $beginAt, $fillAt, $availability, $warmed, $slots, $filled);
        }
        $sessions = self::warm($routine, Later::minutes($fillAt, self::FILLING_MINUTES), $availability, $warmed, $slots);
        // The oil is strained once it is cool enough to handle; a hard fat before it sets.
        $cool = Later::minutes(
            $sessions[count($sessions) - 1]->to,
            ($routine->isWorkedWarm() ? self::STILL_WARM_MINUTES : self::COOLING_MINUTES) + (int) round($routine->standsH * 60),
        );
        $strainAt = $availability->forWork($cool, Step::Strain->minutes());

        return new self($beginAt, $fillAt, $sessions, $strainAt, self::settled($strainAt, $availability, $routine));
    }

    /**
     * What must be in the refrigerator within its hours: filled only when there is time for all of it in one go;
     * once it is filled, warmed and strained without a break, and the deadline never moves later.
     *
     * @param  list<Interval>  $slots
     */
    private static function inOneGo(
        Routine $routine,
        float $coldWithinH,
        \DateTimeImmutable $beginAt,
        \DateTimeImmutable $fillAt,
        Availability $availability,
        Warmed $warmed,
        array $slots,
        bool $filled,
    ): self {
        if (! $filled) {
            // Until it is warm the hours run as well.
            $whole = self::FILLING_MINUTES + $routine->minutesFor($routine->hours) + self::COOLING_MINUTES + Step::Strain->minutes();
            $from = $slots === [] ? $fillAt : max($fillAt, Later::minutes($slots[0]->from, -self::FILLING_MINUTES));
            $while = $availability->whileWith($from, $whole);
            $fillAt = $while ?? $fillAt;
            $beginAt = $beginAt == $fillAt ? $fillAt : min($beginAt, $fillAt);
        }
        $sessions = $warmed->sessions;
        $left = $warmed->left($routine->hours);
        $over = $sessions === [] ? null : $sessions[count($sessions) - 1]->to;
        if ($left > 0 || $sessions === []) {
            $on = $warmed->onSince ?? max($over ?? $fillAt, Later::minutes($fillAt, self::FILLING_MINUTES));
            $over = Later::minutes($on, $routine->minutesFor($left));
            $sessions[] = new Interval($on, $over);
        }
        assert($over !== null);
        $strainAt = Later::minutes($over, self::COOLING_MINUTES);
        if ($filled) {
            $strainAt = min($strainAt, Later::minutes($fillAt, (int) round($coldWithinH * 60) - Step::Strain->minutes()));
        }

        return new self($beginAt, $fillAt, $sessions, $strainAt, self::settled($strainAt, $availability, $routine));
    }

    /** When it is strained, and so where it is to be from then on: what is kept cold, in the refrigerator. */
    public function strainedBy(): \DateTimeImmutable
    {
        return self::strained($this->strainAt);
    }

    /**
     * Sessions past, going on and to come.
     *
     * @param  list<Interval>  $slots
     * @return non-empty-list<Interval>
     */
    private static function warm(
        Routine $routine,
        \DateTimeImmutable $from,
        Availability $availability,
        Warmed $warmed,
        array $slots,
    ): array {
        $sessions = $warmed->sessions;
        $left = $warmed->left($routine->hours);
        if ($sessions !== []) {
            $from = max($from, $sessions[count($sessions) - 1]->to);
        }
        if ($warmed->onSince !== null) {
            $to = Later::minutes($warmed->onSince, $routine->minutesFor($left));
            $while = $availability->whileFrom($warmed->onSince);
            // Somebody has to be by: it is off when they go, and the rest is for another day.
            if ($routine->method->tending->attended && $while !== null && $while->from == $warmed->onSince && $while->to < $to) {
                $to = $while->to;
            }
            $sessions[] = new Interval($warmed->onSince, $to);
            $left -= $routine->worthH($warmed->onSince, $to);
            $from = $to;
        }
        if ($left > 1 / 60 || $sessions === []) {
            $reserved = array_sum(array_map(fn (Interval $slot) => $routine->worthH($slot->from, $slot->to), $slots));
            // What the diary keeps stands as long as it is for the hours that are left.
            $sessions = [
                ...$sessions,
                ...match (true) {
                    $slots !== [] && $slots[0]->from >= $from && abs($reserved - $left) < 0.1 => $slots,
                    $routine->method->tending->attended => self::sessions(
                        $left,
                        $from,
                        $availability,
                        $routine->warmUpMin,
                        $routine->tailMin(),
                    ),
                    default => [self::unattended($left, $from, $availability, $routine->warmUpMin, $routine->tailMin())],
                },
            ];
        }

        return $sessions;
    }

    /** When an oil strained at a moment has settled and somebody is up to pour it off; at once where it does not settle. */
    public static function settledAfter(
        \DateTimeImmutable $strainedAt,
        Availability $availability,
        bool $settles = true,
    ): \DateTimeImmutable {
        return $settles
            ? $availability->forWork(Later::hours($strainedAt, self::SETTLE_HOURS), self::bottlingMin())
            : self::strained($strainedAt);
    }

    /** When it is done with: settled, or, where it is not strained, as soon as it is ready. */
    private static function settled(\DateTimeImmutable $strainAt, Availability $availability, Routine $routine): \DateTimeImmutable
    {
        return $routine->strains ? self::settledAfter($strainAt, $availability, $routine->settles) : $strainAt;
    }

    /** When it is poured off and in its bottles. */
    public function bottledAt(): \DateTimeImmutable
    {
        return Later::minutes($this->settledAt, self::bottlingMin());
    }

    /** Minutes to pour it off and bottle it. */
    public static function bottlingMin(): int
    {
        return Step::Decant->minutes() + Step::Bottle->minutes();
    }

    /** When the straining begun at a moment is done. */
    private static function strained(\DateTimeImmutable $strainAt): \DateTimeImmutable
    {
        return Later::minutes($strainAt, Step::Strain->minutes());
    }

    /** When its warmth must be over, for it to be strained and settled by a day. */
    public static function warmthOverBy(Routine $routine, \DateTimeImmutable $readyBy, Availability $availability): \DateTimeImmutable
    {
        $after =
            match (true) {
                ! $routine->strains => self::COOLING_MINUTES,
                $routine->settles => self::SETTLE_HOURS * 60 + self::COOLING_MINUTES,
                default => self::STILL_WARM_MINUTES,
            } + (int) round($routine->standsH * 60);

        return Later::minutes($availability->to($readyBy), -$after);
    }

    /** The day it can be bottled, and so used. */
    public function readyDay(): \DateTimeImmutable
    {
        return $this->settledAt->setTime(0, 0);
    }

    /**
     * The latest day on which to fill, to be ready by a day. Days are walked back one at a time, so
     * that waking hours and sessions are reckoned just as they will fall.
     */
    public static function latestStart(Routine $routine, \DateTimeImmutable $readyBy, Availability $availability): \DateTimeImmutable
    {
        $day = $readyBy->setTime(0, 0);
        // No fewer days than its hours and the settling ask for; the walk begins a day short of that.
        $least =
            $routine->method->heated && $routine->method->tending->attended
                ? $routine->hours / $availability->hours()
                : $routine->hours / 24;
        for ($back = max(0, (int) floor($least) - 1); $back < self::LOOK_BACK_DAYS; $back++) {
            $start = $availability->midMorning($day->modify("-{$back} days"));
            if (self::lay($routine, $start, $availability)->readyDay() <= $day) {
                return $start->setTime(0, 0);
            }
        }

        // Nobody is there for so long that no start fits: so long ago that it has gone by.
        return $day->modify('-'.self::LOOK_BACK_DAYS.' days');
    }

    /**
     * Warm hours placed where somebody is by, from a moment on.
     *
     * @param  int  $warmUpMin minutes each session begins with before it is warm
     * @param  int  $tailMin minutes that somebody stays after it
     * @return non-empty-list<Interval>
     */
    public static function sessions(
        float $hours,
        \DateTimeImmutable $from,
        Availability $availability,
        int $warmUpMin = 0,
        int $tailMin = 0,
    ): array {
        $minutes = max(1, (int) round($hours * 60));
        // Whole tomorrow is kinder than a stub tonight and the rest tomorrow.
        $whole = self::whole($minutes + $warmUpMin, $tailMin, $from, $availability);
        if ($whole !== null) {
            return [$whole];
        }
        $sessions = [];
        $far = $from->modify('+'.self::LOOK_AHEAD_DAYS.' days');
        while ($minutes > 0 && $from < $far && ($while = $availability->whileFrom($from)) !== null) {
            $room = (int) min($minutes + $warmUpMin, $while->minutes() - $tailMin);
            if ($room - $warmUpMin >= min($minutes, self::LEAST_SESSION_H * 60)) {
                $sessions[] = new Interval($while->from, Later::minutes($while->from, $room));
                $minutes -= $room - $warmUpMin;
            }
            $from = $while->to;
        }
        // Nobody is by for an hour at a time in more than a year: it stands where it was asked for.
        if ($minutes > 0 || $sessions === []) {
            $sessions[] = new Interval($from, Later::minutes($from, $minutes + $warmUpMin));
        }

        return $sessions;
    }

    /** In one go, today or tomorrow. */
    private static function whole(int $minutes, int $tailMin, \DateTimeImmutable $from, Availability $availability): ?Interval
    {
        $night = $from->setTime(0, 0)->modify('+2 days');
        for (
            $while = $availability->whileFrom($from);
            $while !== null && $while->from < $night;
            $while = $availability->whileFrom($while->to)
        ) {
            if ($while->minutes() >= $minutes + $tailMin) {
                return new Interval($while->from, Later::minutes($while->from, $minutes));
            }
        }

        return null;
    }

    /**
     * Warmth that needs nobody by: begun when there is somebody to switch it on, and so late that it
     * ends while somebody is there again to take the jars out.
     *
     * @param  int  $warmUpMin minutes it begins with before it is warm
     * @param  int  $tailMin minutes that somebody has to be there for when it ends
     */
    public static function unattended(
        float $hours,
        \DateTimeImmutable $from,
        Availability $availability,
        int $warmUpMin = 0,
        int $tailMin = 0,
    ): Interval {
        $minutes = $warmUpMin + max(1, (int) round($hours * 60));
        $while = $availability->whileFrom($from) ?? new Interval($from, $from);
        $from = $while->from;
        $to = Later::minutes($from, $minutes);
        $there = $tailMin > 0 ? $availability->forWork($to, $tailMin) : $availability->nextAwake($to);
        if ($there > $to) {
            $from = max($from, min($while->to, Later::minutes($there, -$minutes)));
            $to = max($there, Later::minutes($from, $minutes));
        }

        return new Interval($from, $to);
    }
}
