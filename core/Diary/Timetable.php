<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;

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

    /** Before a pan or a double boiler is warm, minutes: from memory, coarse. */
    public const WARM_UP_MINUTES = 25;

    /** Before an oil is cool enough to be strained, minutes: common practice, no source. */
    public const COOLING_MINUTES = 30;

    /** Less than this at the end of a day is not worth heating a pot for, hours. */
    private const LEAST_SESSION_H = 1.0;

    private const LOOK_BACK_DAYS = 120;

    /** @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>  $sessions warm sessions, empty on the shelf */
    private function __construct(
        public \DateTimeImmutable $beginAt,
        public \DateTimeImmutable $fillAt,
        public array $sessions,
        public \DateTimeImmutable $strainAt,
        public \DateTimeImmutable $settledAt,
    ) {
    }

    /**
     * @param  \DateTimeImmutable  $fillAt in the house's zone; moved to the next time somebody is there
     * @param  float  $hours to infuse: hours at warmth, or on the shelf
     * @param  float  $standsH hours it stands after the heat, before straining
     * @param  float  $soakH hours the herb stands moistened before it is filled
     * @param  ?Warmed  $warmed what it has had already
     * @param  ?float  $coldWithinH hours from filling to the refrigerator, at the most; null where it need not be cold
     * @param  bool  $filled whether it is filled already, and its hours run
     * @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>  $slots sessions the diary keeps for it, in a cooker shared with others
     */
    public static function lay(Method $method, float $hours, \DateTimeImmutable $fillAt, Presence $presence, float $standsH = 0.0, ?Warmed $warmed = null, array $slots = [], float $soakH = 0.0, ?float $coldWithinH = null, bool $filled = false): self
    {
        $beginAt = $presence->nextAwake($fillAt);
        $fillAt = $soakH > 0 ? $presence->nextAwake(Later::hours($beginAt, $soakH)) : $beginAt;
        if ($method->heated && $coldWithinH !== null) {
            return self::inOneGo($method, $hours, $beginAt, $fillAt, $presence, $warmed ?? Warmed::none(), $slots, $coldWithinH, $filled);
        }
        if ($method->heated) {
            $sessions = self::warm($method, $hours, Later::minutes($fillAt, self::FILLING_MINUTES), $presence, $warmed ?? Warmed::none(), $slots);
            $last = $sessions[count($sessions) - 1]['to'];
            // The oil is strained once it is cool enough to handle.
            $strainAt = $presence->nextAwake(Later::minutes($last, self::COOLING_MINUTES + (int) round($standsH * 60)));
        } else {
            $sessions = [];
            $strainAt = $presence->midMorning($fillAt->modify('+'.(int) ceil($hours / 24).' days'));
        }

        return new self($beginAt, $fillAt, $sessions, $strainAt, self::settledAfter($strainAt, $presence));
    }

    /**
     * What must be in the refrigerator within its hours: filled only when there is time for all of it in one go;
     * once it is filled, warmed and strained without a break, and the deadline never moves later.
     *
     * @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>  $slots
     */
    private static function inOneGo(Method $method, float $hours, \DateTimeImmutable $beginAt, \DateTimeImmutable $fillAt, Presence $presence, Warmed $warmed, array $slots, float $coldWithinH, bool $filled): self
    {
        // Until it is warm the hours run as well.
        $minutes = self::WARM_UP_MINUTES + max(1, (int) round($hours * 60));
        if (! $filled) {
            $whole = self::FILLING_MINUTES + $minutes + self::COOLING_MINUTES + Step::Strain->minutes();
            $from = $slots === [] ? $fillAt : max($fillAt, Later::minutes($slots[0]['from'], -self::FILLING_MINUTES));
            $while = $presence->whileWith($from, $whole);
            $fillAt = $while ?? $fillAt;
            $beginAt = $beginAt == $fillAt ? $fillAt : min($beginAt, $fillAt);
        }
        $sessions = array_map(fn (array $past) => ['from' => $past['from'], 'to' => $past['to']], $warmed->sessions);
        $left = (int) round($warmed->left($hours) * 60) + ($warmed->onSince === null && $sessions === [] ? self::WARM_UP_MINUTES : 0);
        $over = $sessions === [] ? null : $sessions[count($sessions) - 1]['to'];
        if ($left > 0 || $sessions === []) {
            $on = $warmed->onSince ?? max($over ?? $fillAt, Later::minutes($fillAt, self::FILLING_MINUTES));
            $over = Later::minutes($on, max(1, $left));
            $sessions[] = ['from' => $on, 'to' => $over];
        }
        assert($over !== null);
        $strainAt = Later::minutes($over, self::COOLING_MINUTES);
        if ($filled) {
            $strainAt = min($strainAt, Later::minutes($fillAt, (int) round($coldWithinH * 60) - Step::Strain->minutes()));
        }

        return new self($beginAt, $fillAt, $sessions, $strainAt, self::settledAfter($strainAt, $presence));
    }

    /** When it is strained, and so where it is to be from then on: what is kept cold, in the refrigerator. */
    public function strainedBy(): \DateTimeImmutable
    {
        return Later::minutes($this->strainAt, Step::Strain->minutes());
    }

    /**
     * Sessions past, going on and to come.
     *
     * @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>  $slots
     * @return non-empty-list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>
     */
    private static function warm(Method $method, float $hours, \DateTimeImmutable $from, Presence $presence, Warmed $warmed, array $slots): array
    {
        $sessions = array_map(fn (array $past) => ['from' => $past['from'], 'to' => $past['to']], $warmed->sessions);
        $left = $warmed->left($hours);
        if ($sessions !== []) {
            $from = max($from, $sessions[count($sessions) - 1]['to']);
        }
        if ($warmed->onSince !== null) {
            $to = Later::minutes($warmed->onSince, max(1, (int) round($left * 60)));
            $while = $presence->whileFrom($warmed->onSince);
            // Somebody has to be by: it is off when they go, and the rest is for another day.
            if ($method->attended && $while !== null && $while['from'] == $warmed->onSince && $while['to'] < $to) {
                $to = $while['to'];
            }
            $sessions[] = ['from' => $warmed->onSince, 'to' => $to];
            $left -= ($to->getTimestamp() - $warmed->onSince->getTimestamp()) / 3600;
            $from = $to;
        }
        if ($left > 1 / 60 || $sessions === []) {
            $kept = array_sum(array_map(fn (array $slot) => $slot['to']->getTimestamp() - $slot['from']->getTimestamp(), $slots)) / 3600;
            // What the diary keeps stands as long as it is for the hours that are left.
            $sessions = [...$sessions, ...match (true) {
                $slots !== [] && $slots[0]['from'] >= $from && abs($kept - $left) < 0.1 => $slots,
                $method->attended => self::sessions($left, $from, $presence),
                default => [self::unattended($left, $from, $presence)],
            }];
        }

        return $sessions;
    }

    /** When an oil strained at a moment has settled and somebody is up to pour it off. */
    public static function settledAfter(\DateTimeImmutable $strainedAt, Presence $presence): \DateTimeImmutable
    {
        return $presence->nextAwake(Later::hours($strainedAt, self::SETTLE_HOURS));
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
    public static function latestStart(Method $method, float $hours, \DateTimeImmutable $readyBy, Presence $presence, float $standsH = 0.0, float $soakH = 0.0, ?float $coldWithinH = null): \DateTimeImmutable
    {
        $day = $readyBy->setTime(0, 0);
        // No fewer days than its hours and the settling ask for; the walk begins a day short of that.
        $least = $method->heated && $method->attended ? $hours / $presence->hours() : $hours / 24;
        for ($back = max(0, (int) floor($least) - 1); $back < self::LOOK_BACK_DAYS; $back++) {
            $start = $presence->midMorning($day->modify("-{$back} days"));
            if (self::lay($method, $hours, $start, $presence, $standsH, soakH: $soakH, coldWithinH: $coldWithinH)->readyDay() <= $day) {
                return $start->setTime(0, 0);
            }
        }

        // Nobody is there for so long that no start fits: so long ago that it has gone by.
        return $day->modify('-'.self::LOOK_BACK_DAYS.' days');
    }

    /**
     * Warm hours placed where somebody is by, from a moment on.
     *
     * @return non-empty-list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>
     */
    public static function sessions(float $hours, \DateTimeImmutable $from, Presence $presence): array
    {
        $minutes = max(1, (int) round($hours * 60));
        // Whole tomorrow is kinder than a stub tonight and the rest tomorrow.
        $whole = self::whole($minutes, $from, $presence);
        if ($whole !== null) {
            return [$whole];
        }
        $sessions = [];
        while ($minutes > 0 && ($while = $presence->whileFrom($from)) !== null) {
            $room = (int) min($minutes, self::minutesBetween($while['from'], $while['to']));
            if ($room >= min($minutes, self::LEAST_SESSION_H * 60)) {
                $sessions[] = ['from' => $while['from'], 'to' => Later::minutes($while['from'], $room)];
                $minutes -= $room;
            }
            $from = $while['to'];
        }
        // Nobody is by for an hour at a time in more than a year: it stands where it was asked for.
        if ($minutes > 0 || $sessions === []) {
            $sessions[] = ['from' => $from, 'to' => Later::minutes($from, $minutes)];
        }

        return $sessions;
    }

    /** @return array{from: \DateTimeImmutable, to: \DateTimeImmutable}|null in one go, today or tomorrow */
    private static function whole(int $minutes, \DateTimeImmutable $from, Presence $presence): ?array
    {
        $night = $from->setTime(0, 0)->modify('+2 days');
        for ($while = $presence->whileFrom($from); $while !== null && $while['from'] < $night; $while = $presence->whileFrom($while['to'])) {
            if (self::minutesBetween($while['from'], $while['to']) >= $minutes) {
                return ['from' => $while['from'], 'to' => Later::minutes($while['from'], $minutes)];
            }
        }

        return null;
    }

    /**
     * Warmth that needs nobody by: begun when there is somebody to switch it on, and so late that it
     * ends while somebody is there again to take the jars out.
     *
     * @return array{from: \DateTimeImmutable, to: \DateTimeImmutable}
     */
    public static function unattended(float $hours, \DateTimeImmutable $from, Presence $presence): array
    {
        $minutes = max(1, (int) round($hours * 60));
        $while = $presence->whileFrom($from) ?? ['from' => $from, 'to' => $from];
        $from = $while['from'];
        $to = Later::minutes($from, $minutes);
        $there = $presence->nextAwake($to);
        if ($there > $to) {
            $from = max($from, min($while['to'], Later::minutes($there, -$minutes)));
            $to = max($there, Later::minutes($from, $minutes));
        }

        return ['from' => $from, 'to' => $to];
    }

    private static function minutesBetween(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return (int) floor(($to->getTimestamp() - $from->getTimestamp()) / 60);
    }
}
