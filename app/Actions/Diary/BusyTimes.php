<?php

namespace App\Actions\Diary;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Property\ICalendar\Duration;
use Sabre\VObject\Reader;

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
     * @return list<array{called: string, from: \DateTimeImmutable, to: \DateTimeImmutable}>
     *
     * @throws CalendarException
     */
    public static function read(string $ics, \DateTimeImmutable $now, int $aheadDays, int $most): array
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
        /** @var list<array{called: string, from: string, to: string}> $busy */
        $busy = json_decode($process->output(), true, flags: JSON_THROW_ON_ERROR);
        $zone = $now->getTimezone();

        return array_map(
            fn (array $each) => [
                'called' => $each['called'],
                'from' => (new \DateTimeImmutable($each['from']))->setTimezone($zone),
                'to' => (new \DateTimeImmutable($each['to']))->setTimezone($zone),
            ],
            $busy,
        );
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
     * @return list<array{called: string, from: \DateTimeImmutable, to: \DateTimeImmutable}>
     *
     * @throws \LengthException when there are more than that
     * @throws \Throwable when it is no calendar
     */
    public static function of(string $ics, \DateTimeImmutable $now, int $aheadDays, int $most): array
    {
        $calendar = Reader::read($ics, Reader::OPTION_FORGIVING);
        if (! ($calendar instanceof VCalendar)) {
            throw new \InvalidArgumentException('Not a calendar.');
        }
        $expanded = $calendar->expand($now->modify('-1 day'), $now->modify("+{$aheadDays} days"), $now->getTimezone());
        $busy = [];
        foreach ($expanded->select('VEVENT') as $event) {
            if (
                ! ($event instanceof VEvent) ||
                ! (($starts = $event->select('DTSTART')[0] ?? null) instanceof DateTime) ||
                strtoupper(self::said($event, 'STATUS')) === 'CANCELLED'
            ) {
                continue;
            }
            $transparent = strtoupper(self::said($event, 'TRANSP'));
            $from = \DateTimeImmutable::createFromInterface($starts->getDateTime($now->getTimezone()))->setTimezone($now->getTimezone());
            $allDay = ! $starts->hasTime();
            // A birthday is no reason to be away: of whole days only those marked busy count.
            if ($transparent === 'TRANSPARENT' || ($allDay && $transparent !== 'OPAQUE')) {
                continue;
            }
            [$ends, $lasts] = [$event->select('DTEND')[0] ?? null, $event->select('DURATION')[0] ?? null];
            $to = match (true) {
                $ends instanceof DateTime => \DateTimeImmutable::createFromInterface($ends->getDateTime($now->getTimezone()))->setTimezone(
                    $now->getTimezone(),
                ),
                $lasts instanceof Duration => $from->add($lasts->getDateInterval()),
                $allDay => $from->modify('+1 day'),
                default => $from,
            };
            if ($to > $from && $to > $now) {
                $busy[] = [
                    'called' => mb_substr(self::said($event, 'SUMMARY'), 0, 120) ?: 'Busy',
                    'from' => $from,
                    'to' => $to,
                ];
            }
            if (count($busy) > $most) {
                throw new \LengthException('Too many.');
            }
        }

        return $busy;
    }

    private static function said(VEvent $event, string $property): string
    {
        $first = $event->select($property)[0] ?? null;

        return $first instanceof Property ? (string) $first : '';
    }
}
