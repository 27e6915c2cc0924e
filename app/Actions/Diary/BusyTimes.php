<?php

namespace App\Actions\Diary;

use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Component\VFreeBusy;
use Sabre\VObject\DateTimeParser;
use Sabre\VObject\Parameter;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Property\ICalendar\Duration;
use Sabre\VObject\Property\ICalendar\Period;
use Sabre\VObject\Reader;
use Sabre\VObject\TimeZoneUtil;

/** The busy times a calendar holds, opened out. Run apart by bin/calendar.php; read() asks for it there. */
final class BusyTimes
{
    /** Seconds it may take, and megabytes. */
    private const SECONDS = 4;

    private const MEGABYTES = 96;

    /** What comes again oftener than each so many days, or is said to in so many numbers, is no calendar of a kitchen. */
    private const MOST_INTERVAL = 1000;

    /**
     * In a process of its own, which is ended when it takes too long.
     *
     * @throws CalendarException
     */
    public static function read(string $ics, \DateTimeImmutable $now, int $aheadDays, int $most): Busy
    {
        self::refuseNeverComing($ics);
        $command = [
            'timeout',
            '-s',
            'KILL',
            (string) self::SECONDS,
            PHP_BINDIR.'/php',
            '-d',
            'memory_limit='.self::MEGABYTES.'M',
            base_path('bin/calendar.php'),
            $now->format(DATE_ATOM),
            $now->getTimezone()->getName(),
            (string) $aheadDays,
            (string) $most,
        ];
        $process = \Illuminate\Support\Facades\Process::timeout(self::SECONDS + 2)
            ->input($ics)
            ->run($command);
        $code = $process->exitCode();
        if ($code !== 0) {
            throw match ($code) {
                3 => CalendarException::unreadable(),
                5 => CalendarException::tooMany($most),
                // Ended, or out of room: it comes again without end.
                default => CalendarException::endless(),
            };
        }

        return Busy::of($process->output(), $now->getTimezone());
    }

    /**
     * Rules of RFC 5545, 3.3.10 that no day or hour ever meets, told before anything is opened out.
     *
     * @throws CalendarException
     */
    private static function refuseNeverComing(string $ics): void
    {
        // Long lines are folded, RFC 5545, 3.1.
        $unfolded = preg_replace('/\r?\n[ \t]/', '', $ics) ?? $ics;
        foreach (preg_match_all('/^(?:RRULE|EXRULE)[^:\r\n]*:([^\r\n]+)/mi', $unfolded, $m) > 0 ? $m[1] : [] as $rule) {
            parse_str(str_replace(';', '&', strtoupper($rule)), $parts);
            $numbers = fn (string $key): array => is_string($parts[$key] ?? null) ? array_map('intval', explode(',', $parts[$key])) : [];
            $within = fn (string $key, int $least, int $most): bool => $numbers($key) === [] ||
                array_filter($numbers($key), fn (int $each) => abs($each) >= $least && abs($each) <= $most) !== [];
            $months = $numbers('BYMONTH');
            $days = $numbers('BYMONTHDAY');
            $longest =
                $months === []
                    ? 31
                    : max(array_map(fn (int $month) => [0, 31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][$month] ?? 0, $months));
            $interval = $numbers('INTERVAL')[0] ?? 1;
            if (
                ! $within('BYHOUR', 0, 23) ||
                ! $within('BYMINUTE', 0, 59) ||
                ! $within('BYSECOND', 0, 60) ||
                ! $within('BYMONTH', 1, 12) ||
                ! $within('BYMONTHDAY', 1, $longest) ||
                ! $within('BYYEARDAY', 1, 366) ||
                ! $within('BYWEEKNO', 1, 53) ||
                ($days !== [] && $longest === 0) ||
                $interval < 1 ||
                $interval > self::MOST_INTERVAL
            ) {
                throw CalendarException::neverComes();
            }
        }
    }

    /**
     * @throws \LengthException when there are more than that
     * @throws \Throwable when it is no calendar
     */
    public static function of(string $ics, \DateTimeImmutable $now, int $aheadDays, int $most): Busy
    {
        $calendar = Reader::read($ics, Reader::OPTION_FORGIVING);
        if (! ($calendar instanceof VCalendar)) {
            throw new \InvalidArgumentException('Not a calendar.');
        }
        $zones = self::freeOfUnknownZones($calendar);
        $until = $now->modify("+{$aheadDays} days");
        $busy = self::told($calendar, $now, $until);
        $wholeDays = [];
        // No more of any calendar is opened out than can be kept of it.
        foreach ($calendar->expand($now->modify('-1 day'), $until, $now->getTimezone())->select('VEVENT') as $event) {
            $time = $event instanceof VEvent ? self::time($event, $now) : null;
            if ($time === null || $time['to'] <= $now) {
                continue;
            }
            $called = mb_substr(self::said($event, 'SUMMARY'), 0, 120) ?: 'Busy';
            if ($time['unsaid']) {
                $wholeDays[] = $called;
            } else {
                $busy[] = ['called' => $called, 'from' => $time['from'], 'to' => $time['to']];
            }
            if (count($busy) > $most) {
                throw new \LengthException('Too many.');
            }
        }

        return new Busy($busy, array_values(array_unique($wholeDays)), $zones);
    }

    /**
     * Times of a zone that goes by no known name are taken as the house's own, and not, as nothing better is known of them, as
     * those of Greenwich.
     *
     * @return list<string> the names
     */
    private static function freeOfUnknownZones(VCalendar $calendar): array
    {
        $unknown = [];
        foreach ($calendar->getComponents() as $component) {
            foreach ($component instanceof Component ? $component->children() : [] as $property) {
                $zone = $property instanceof DateTime ? self::param($property, 'TZID') : '';
                if ($property instanceof DateTime && $zone !== '' && ! self::isZone($zone, $calendar)) {
                    $unknown[$zone] = mb_substr($zone, 0, 60);
                    unset($property['TZID']);
                }
            }
        }

        return array_values($unknown);
    }

    private static function isZone(string $zone, VCalendar $calendar): bool
    {
        try {
            TimeZoneUtil::getTimeZone($zone, $calendar, true);
        } catch (\InvalidArgumentException) {
            return false;
        }

        return true;
    }

    /**
     * Busy times that are told without what keeps busy: RFC 5545, 3.6.4.
     *
     * @return list<array{called: string, from: \DateTimeImmutable, to: \DateTimeImmutable}>
     */
    private static function told(VCalendar $calendar, \DateTimeImmutable $now, \DateTimeImmutable $until): array
    {
        $busy = [];
        foreach ($calendar->select('VFREEBUSY') as $told) {
            foreach ($told instanceof VFreeBusy ? $told->select('FREEBUSY') : [] as $property) {
                if (! ($property instanceof Period) || strtoupper(self::param($property, 'FBTYPE')) === 'FREE') {
                    continue;
                }
                foreach ($property->getParts() as $period) {
                    [$begins, $ends] = [...explode('/', is_string($period) ? $period : ''), ''];
                    $from = DateTimeParser::parseDateTime($begins)->setTimezone($now->getTimezone());
                    $lasts = preg_match('/^[+-]?P/', $ends) === 1 ? DateTimeParser::parseDuration($ends) : null;
                    $to =
                        $lasts instanceof \DateInterval
                            ? $from->add($lasts)
                            : DateTimeParser::parseDateTime($ends)->setTimezone($now->getTimezone());
                    if ($to > $from && $to > $now && $from < $until) {
                        $busy[] = ['called' => 'Busy', 'from' => $from, 'to' => $to];
                    }
                }
            }
        }

        return $busy;
    }

    /**
     * When an event keeps somebody busy; null where it does not. Without a word of its own it does, by RFC 5545, 3.8.2.7; but
     * of one whole day, as a birthday is, it is not certain.
     *
     * @return ?array{from: \DateTimeImmutable, to: \DateTimeImmutable, unsaid: bool}
     */
    private static function time(VEvent $event, \DateTimeImmutable $now): ?array
    {
        $zone = $now->getTimezone();
        $moment = fn (DateTime $of) => \DateTimeImmutable::createFromInterface($of->getDateTime($zone))->setTimezone($zone);
        $starts = $event->select('DTSTART')[0] ?? null;
        $transparent = strtoupper(self::said($event, 'TRANSP'));
        if (! ($starts instanceof DateTime) || $transparent === 'TRANSPARENT' || strtoupper(self::said($event, 'STATUS')) === 'CANCELLED') {
            return null;
        }
        $from = $moment($starts);
        $allDay = ! $starts->hasTime();
        [$ends, $lasts] = [$event->select('DTEND')[0] ?? null, $event->select('DURATION')[0] ?? null];
        $to = match (true) {
            $ends instanceof DateTime => $moment($ends),
            $lasts instanceof Duration => $from->add($lasts->getDateInterval()),
            $allDay => $from->modify('+1 day'),
            default => $from,
        };

        return $to <= $from
            ? null
            : ['from' => $from, 'to' => $to, 'unsaid' => $allDay && $transparent === '' && $to <= $from->modify('+1 day')];
    }

    private static function param(Property $property, string $name): string
    {
        $value = $property[$name] ?? null;

        return $value instanceof Parameter ? (string) $value->getValue() : '';
    }

    private static function said(VEvent $event, string $property): string
    {
        $first = $event->select($property)[0] ?? null;

        return $first instanceof Property ? (string) $first : '';
    }
}
