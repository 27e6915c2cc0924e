<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Time\Interval;
use Kettle\Time\Later;
use Kettle\Time\TimeOfDay;

/**
 * When somebody is up and at home, in the house's own time zone: up from "07:00" to "22:30", on some
 * days of the week only for parts of that, and not at all while away or busy elsewhere.
 */
final readonly class Availability
{
    /** A shorter while is not worth coming to the stove for, minutes. */
    public const LEAST_MINUTES = 15;

    /** A deadline by night is done before bed, and that is no absence, hours. */
    private const NIGHT_H = 12;

    /** Nobody is taken to be away for longer; past it the moment asked for stands. */
    private const LOOK_DAYS = 400;

    /**
     * @param  array<int, list<array{int, int}>>  $week by ISO weekday (1 Monday): minutes of the day at home; days left out are all day
     * @param  list<array{int, int}>  $absences moments in seconds, in order, apart
     */
    private function __construct(private int $fromMinute, private int $toMinute, private array $week = [], private array $absences = []) {}

    /** @throws DiaryException when unreadable, or shorter than four hours */
    public static function between(string $from, string $to): self
    {
        $minutes = [self::minute($from), self::minute($to)];
        if ($minutes[1] - $minutes[0] < 240) {
            throw DiaryException::shortDay();
        }

        return new self($minutes[0], $minutes[1]);
    }

    /**
     * On which hours of which weekdays somebody is at home.
     *
     * @param  array<int|string, string>  $week by ISO weekday 1 to 7: "07:00-08:30, 17:00-22:30",
     *     or "" for not at all; days left out are all day
     *
     * @throws DiaryException
     */
    public function atHome(array $week): self
    {
        $read = [];
        foreach ($week as $day => $typed) {
            if (! in_array((int) $day, range(1, 7), true)) {
                throw DiaryException::weekday((string) $day);
            }
            $whiles = [];
            $parts = array_map(fn (string $part) => trim($part, " \t\r\n"), explode(',', $typed));
            foreach (array_filter($parts, fn (string $part) => $part !== '') as $part) {
                $ends = preg_split('/\s*(?:-|–|to)\s*/u', $part) ?: [];
                if (count($ends) !== 2) {
                    throw DiaryException::hours($part);
                }
                [$a, $b] = [self::minute($ends[0]), self::minute($ends[1])];
                if ($b - $a < self::LEAST_MINUTES || ($whiles !== [] && $a < $whiles[count($whiles) - 1][1])) {
                    throw DiaryException::hours($part);
                }
                $whiles[] = [$a, $b];
            }
            $read[(int) $day] = $whiles;
        }

        return new self($this->fromMinute, $this->toMinute, $read, $this->absences);
    }

    /** @param  iterable<array{\DateTimeInterface, \DateTimeInterface}>  $absences away, or busy elsewhere; may overlap */
    public function without(iterable $absences): self
    {
        $all = [];
        foreach ($absences as [$from, $to]) {
            if ($to > $from) {
                $all[] = [$from->getTimestamp(), $to->getTimestamp()];
            }
        }
        $all = [...$this->absences, ...$all];
        usort($all, fn (array $a, array $b) => $a[0] <=> $b[0]);
        $apart = [];
        foreach ($all as $each) {
            $last = count($apart) - 1;
            if ($last >= 0 && $each[0] <= $apart[$last][1]) {
                $apart[$last][1] = max($apart[$last][1], $each[1]);
            } else {
                $apart[] = $each;
            }
        }

        return new self($this->fromMinute, $this->toMinute, $this->week, $apart);
    }

    /** Getting up on a day, at home or not. */
    public function from(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return TimeOfDay::on($day, $this->fromMinute);
    }

    /** Going to bed on a day, at home or not. */
    public function to(\DateTimeImmutable $day): \DateTimeImmutable
    {
        return TimeOfDay::on($day, $this->toMinute);
    }

    /**
     * The whiles of a day on which somebody is up and at home.
     *
     * @return list<Interval>
     */
    public function on(\DateTimeImmutable $day): array
    {
        $whiles = [];
        foreach ($this->week[(int) $day->format('N')] ?? [[$this->fromMinute, $this->toMinute]] as [$a, $b]) {
            [$a, $b] = [max($a, $this->fromMinute), min($b, $this->toMinute)];
            if ($b > $a) {
                $whiles[] = [TimeOfDay::on($day, $a), TimeOfDay::on($day, $b)];
            }
        }
        if ($whiles !== [] && $this->absences !== []) {
            $whiles = $this->cut($whiles);
        }

        return array_map(fn (array $while) => new Interval($while[0], $while[1]), $whiles);
    }

    /**
     * The while a moment lies in, from that moment on, or the next; null when there is none in a long time.
     */
    public function whileFrom(\DateTimeImmutable $moment): ?Interval
    {
        if ($this->week === [] && $this->absences === []) {
            return $this->whileOfAnyDay($moment);
        }
        for ($ahead = 0; $ahead <= self::LOOK_DAYS; $ahead++) {
            foreach ($this->on($moment->setTime(0, 0)->modify("+{$ahead} days")) as $while) {
                $from = max($moment, $while->from);
                if ($while->to->getTimestamp() - $from->getTimestamp() >= self::LEAST_MINUTES * 60) {
                    return new Interval($from, $while->to);
                }
            }
        }

        return null;
    }

    /**
     * The same where every day is like another, which is most houses and the quicker.
     */
    private function whileOfAnyDay(\DateTimeImmutable $moment): Interval
    {
        $from = max($moment, $this->from($moment));
        $to = $this->to($moment);
        if ($to->getTimestamp() - $from->getTimestamp() >= self::LEAST_MINUTES * 60) {
            return new Interval($from, $to);
        }
        $next = $moment->modify('+1 day');

        return new Interval($this->from($next), $this->to($next));
    }

    /** The first moment from which somebody is up and at home for so many minutes at once; null when there is none in a long time. */
    public function whileWith(\DateTimeImmutable $moment, int $minutes): ?\DateTimeImmutable
    {
        if ($minutes > 24 * 60) {
            return null;
        }
        for ($tries = 0; $tries < 3 * self::LOOK_DAYS && ($while = $this->whileFrom($moment)) !== null; $tries++) {
            if ($while->seconds() >= $minutes * 60) {
                return $while->from;
            }
            $moment = $while->to;
        }

        return null;
    }

    /**
     * For a deadline: the moment itself when somebody is up and at home, else the last hour before it on which
     * somebody is. It never moves later.
     *
     * @param  \DateTimeImmutable  $since how far back it may move; with nobody there since then the moment stands
     */
    public function lastAwake(\DateTimeImmutable $moment, \DateTimeImmutable $since): \DateTimeImmutable
    {
        for ($day = $moment->setTime(0, 0); $day >= $since->setTime(0, 0); $day = $day->modify('-1 day')) {
            foreach (array_reverse($this->on($day)) as $while) {
                if ($while->from > $moment) {
                    continue;
                }
                if ($while->to >= $moment) {
                    return $moment;
                }
                if ($while->to > $since) {
                    return max($since, $while->from, Later::minutes($while->to, -60));
                }
            }
        }

        return $moment;
    }

    /**
     * For a deadline that falls into an absence: the last hour at home before it; null where somebody is there on its
     * day, or the night before.
     */
    public function missed(\DateTimeImmutable $moment, \DateTimeImmutable $since): ?\DateTimeImmutable
    {
        $last = $this->lastAwake($moment, $since);

        return $this->on($moment) === [] && $moment->getTimestamp() - $last->getTimestamp() > self::NIGHT_H * 3600 ? $last : null;
    }

    /** The moment itself when somebody is up and at home, else the next time somebody is. */
    public function nextAwake(\DateTimeImmutable $moment): \DateTimeImmutable
    {
        if ($this->week === [] && $this->absences === []) {
            return $moment > $this->to($moment) ? $this->from($moment->modify('+1 day')) : max($moment, $this->from($moment));
        }
        foreach ($this->on($moment) as $while) {
            if ($while->has($moment)) {
                return $moment;
            }
        }

        return $this->whileFrom($moment)->from ?? $moment;
    }

    /** From when somebody has so many minutes for a piece of work before bed, or before they go; never where it would run past that. */
    public function forWork(\DateTimeImmutable $moment, int $minutes): \DateTimeImmutable
    {
        return $this->whileWith($moment, $minutes) ?? $moment;
    }

    /** Mid-morning: two hours after getting up, for work that need not be early; later when nobody is there then. */
    public function midMorning(\DateTimeImmutable $day, int $minutes = 1): \DateTimeImmutable
    {
        return $this->forWork($this->from($day)->modify('+2 hours'), $minutes);
    }

    /** Hours up, on a day at home. */
    public function hours(): float
    {
        return ($this->toMinute - $this->fromMinute) / 60;
    }

    public function fromText(): string
    {
        return sprintf('%02d:%02d', intdiv($this->fromMinute, 60), $this->fromMinute % 60);
    }

    public function toText(): string
    {
        return sprintf('%02d:%02d', intdiv($this->toMinute, 60), $this->toMinute % 60);
    }

    /**
     * @param  list<array{\DateTimeImmutable, \DateTimeImmutable}>  $whiles
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable}>
     */
    private function cut(array $whiles): array
    {
        $left = [];
        foreach ($whiles as [$from, $to]) {
            foreach ($this->absences as [$a, $b]) {
                if ($b <= $from->getTimestamp()) {
                    continue;
                }
                if ($a >= $to->getTimestamp()) {
                    break;
                }
                if ($a > $from->getTimestamp()) {
                    $left[] = [$from, $from->setTimestamp($a)];
                }
                $from = $from->setTimestamp($b);
                if ($from >= $to) {
                    continue 2;
                }
            }
            $left[] = [$from, $to];
        }

        return $left;
    }

    /** @throws DiaryException */
    private static function minute(string $time): int
    {
        return TimeOfDay::minute($time) ?? throw DiaryException::time($time);
    }
}
