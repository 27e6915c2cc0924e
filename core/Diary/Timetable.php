<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;

/**
 * When one batch is filled, warmed, strained, poured off and bottled, from the moment it may be filled.
 *
 * Heated work is placed only while somebody is up; what does not fit one day goes on the next. What
 * holds its own warmth may run overnight.
 */
final readonly class Timetable
{
    /** A day for sediment to fall: common practice, no source. */
    public const SETTLE_HOURS = 24;

    /** Weighing, packing and pouring before any warmth, minutes. */
    private const FILLING_MINUTES = 30;

    /** Less than this at the end of a day is not worth heating a pot for, hours. */
    private const LEAST_SESSION_H = 1.0;

    /** @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>  $sessions warm sessions, empty on the shelf */
    private function __construct(
        public \DateTimeImmutable $fillAt,
        public array $sessions,
        public \DateTimeImmutable $strainAt,
        public \DateTimeImmutable $settledAt,
    ) {
    }

    /**
     * @param  \DateTimeImmutable  $fillAt in the house's zone; moved to the next waking time
     * @param  float  $hours to infuse: hours at warmth, or on the shelf
     * @param  float  $standsH hours it stands after the heat, before straining
     */
    public static function lay(Method $method, float $hours, \DateTimeImmutable $fillAt, WakingHours $waking, float $standsH = 0.0): self
    {
        $fillAt = $waking->nextAwake($fillAt);
        if ($method->heated) {
            $from = $fillAt->modify('+'.self::FILLING_MINUTES.' minutes');
            $sessions = $method->attended ? self::sessions($hours, $from, $waking) : [self::unattended($hours, $from, $waking)];
            $last = $sessions[count($sessions) - 1]['to'];
            // The oil is strained once it is cool enough to handle.
            $strainAt = $waking->nextAwake($last->modify('+'.(30 + (int) round($standsH * 60)).' minutes'));
        } else {
            $sessions = [];
            $strainAt = $waking->midMorning($fillAt->modify('+'.(int) ceil($hours / 24).' days'));
        }

        return new self($fillAt, $sessions, $strainAt, self::settledAfter($strainAt, $waking));
    }

    /** When an oil strained at a moment has settled and somebody is up to pour it off. */
    public static function settledAfter(\DateTimeImmutable $strainedAt, WakingHours $waking): \DateTimeImmutable
    {
        return $waking->nextAwake($strainedAt->modify('+'.self::SETTLE_HOURS.' hours'));
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
    public static function latestStart(Method $method, float $hours, \DateTimeImmutable $readyBy, WakingHours $waking, float $standsH = 0.0): \DateTimeImmutable
    {
        $day = $readyBy->setTime(0, 0);
        // No fewer days than its hours and the settling ask for; the walk begins a day short of that.
        $least = $method->heated && $method->attended ? $hours / $waking->hours() : $hours / 24;
        for ($back = max(0, (int) floor($least) - 1); $back < 120; $back++) {
            $candidate = $day->modify("-{$back} days");
            if (self::lay($method, $hours, $waking->midMorning($candidate), $waking, $standsH)->readyDay() <= $day) {
                return $candidate;
            }
        }
        throw new \LogicException('No method takes four months.');
    }

    /** @return non-empty-list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}> */
    private static function sessions(float $hours, \DateTimeImmutable $from, WakingHours $waking): array
    {
        $minutes = (int) round($hours * 60);
        $from = $waking->nextAwake($from);
        $leftToday = self::minutesBetween($from, $waking->to($from));
        // Whole on the next day is kinder than a stub tonight and the rest tomorrow.
        $wholeDay = (int) ($waking->hours() * 60) - self::FILLING_MINUTES;
        if ($minutes > $leftToday && $minutes <= $wholeDay) {
            $from = $waking->from($from->modify('+1 day'));
        }
        $sessions = [];
        while ($minutes > 0) {
            $room = min($minutes, self::minutesBetween($from, $waking->to($from)));
            if ($room >= min($minutes, self::LEAST_SESSION_H * 60)) {
                $to = $from->modify("+{$room} minutes");
                $sessions[] = ['from' => $from, 'to' => $to];
                $minutes -= $room;
            }
            $from = $waking->from($from->modify('+1 day'));
        }
        assert($sessions !== []);

        return $sessions;
    }

    /**
     * Warmth that needs nobody by: begun when there is somebody to switch it on, and so late that it
     * ends with the day or with somebody's getting up.
     *
     * @return array{from: \DateTimeImmutable, to: \DateTimeImmutable}
     */
    private static function unattended(float $hours, \DateTimeImmutable $from, WakingHours $waking): array
    {
        $minutes = (int) round($hours * 60);
        $from = $waking->nextAwake($from);
        $to = $from->modify("+{$minutes} minutes");
        if ($to > $waking->to($from)) {
            $morning = $waking->from($from->modify('+1 day'));
            $to = max($to, $morning);
            $from = max($from, min($waking->to($from), $to->modify("-{$minutes} minutes")));
            $to = max($morning, $from->modify("+{$minutes} minutes"));
        }

        return ['from' => $from, 'to' => $to];
    }

    private static function minutesBetween(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return (int) floor(($to->getTimestamp() - $from->getTimestamp()) / 60);
    }
}
