<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Reason\Said;
use Kettle\Time\Interval;
use Kettle\Time\Later;
use Kettle\Vessel\Packing;

/**
 * Several batches and a few cookers: who stands where, and when, so that no cooker holds more than it can,
 * nobody works at night, and no pot is heated twice where once would do.
 *
 * The most urgent is placed first. It joins jars of its warmth where that begins it no later than a cooker
 * of its own would; else it has the cooker that is free first. The earliest place is found exactly; that
 * the whole is the best of all orders is not promised.
 */
final class CookerDiary
{
    public const DAYS = 120;

    /** Others in a cooker wait for one more jar by no more than this, hours. */
    private const PATIENCE_H = 24;

    /** @var list<CookerRun> */
    public array $runs = [];

    /** @var array<string, Said> why a job has no place, by its id */
    public array $without = [];

    /** @var array<string, bool> */
    private array $fits = [];

    /** @param  list<CookerPlace>  $places */
    private function __construct(
        private readonly array $places,
        private readonly Availability $availability,
        private readonly \DateTimeImmutable $now,
    ) {}

    /**
     * @param  list<CookerJob>  $jobs
     * @param  list<CookerPlace>  $places
     * @param  \DateTimeImmutable  $now in the house's zone
     */
    public static function plan(array $jobs, array $places, Availability $availability, \DateTimeImmutable $now): self
    {
        $diary = new self($places, $availability, $now);
        $standing = $free = [];
        foreach ($jobs as $job) {
            $with = $standing[$job->standsIn ?? ''][0] ?? null;
            // What is said to stand with another warmth cannot go on with it: it is placed like any other.
            if ($job->standsIn !== null && $diary->placeOf($job->standsIn) !== null && ($with === null || $with->sharesWarmthWith($job))) {
                $standing[$job->standsIn][] = $job;
            } else {
                $free[] = $job;
            }
        }
        foreach ($standing as $place => $together) {
            $diary->runs[] = $diary->goOn((string) $place, $together);
        }
        $far = $now->modify('+10 years');
        usort(
            $free,
            fn (CookerJob $a, CookerJob $b) => [$a->dueBy ?? $far, $a->earliest, -$a->hours, $a->id] <=> [
                $b->dueBy ?? $far,
                $b->earliest,
                -$b->hours,
                $b->id,
            ],
        );
        foreach ($free as $job) {
            $diary->add($job);
        }
        usort($diary->runs, fn (CookerRun $a, CookerRun $b) => [$a->start(), $a->place] <=> [$b->start(), $b->place]);

        return $diary;
    }

    /** The same with one more, which goes where the others leave room. */
    public function with(CookerJob $job): self
    {
        $with = clone $this;
        $with->add($job);

        return $with;
    }

    public function runOf(string $job): ?CookerRun
    {
        foreach ($this->runs as $run) {
            foreach ($run->jobs as $each) {
                if ($each->id === $job) {
                    return $run;
                }
            }
        }

        return null;
    }

    /** Times a cooker is switched on, in all. */
    public function sessions(): int
    {
        return array_sum(array_map(fn (CookerRun $run) => count($run->sessions), $this->runs));
    }

    /** What to say of a job that comes too late, or not at all; null when all is well. */
    public function says(CookerJob $job): ?Said
    {
        $run = $this->runOf($job->id);
        if ($run === null) {
            return $this->without[$job->id] ?? null;
        }
        $ends = $run->ends($job);

        return $job->dueBy === null || $ends <= $job->dueBy
            ? null
            : Said::of('diary.late', [
                'called' => $job->called,
                'due' => ['moment' => $job->dueBy],
                'soonest' => ['moment' => $ends],
                'cooker' => $this->placeOf($run->place)->cooker->called ?? Said::of('diary.its-cooker'),
            ]);
    }

    private function add(CookerJob $job): void
    {
        $able = array_values(array_filter($this->places, fn (CookerPlace $place) => in_array($job->kind, $place->kinds, true)));
        if ($able === []) {
            $this->without[$job->id] = Said::of('diary.no-cooker', ['called' => $job->called]);

            return;
        }
        $roomy = array_values(array_filter($able, fn (CookerPlace $place) => $this->fits($place, $job->widths)));
        if ($roomy === []) {
            $this->without[$job->id] = Said::of('diary.no-room', [
                'called' => $job->called,
                'cooker' => $able[0]->cooker->called,
            ]);

            return;
        }
        $alone = $this->alone($job, $roomy);
        $joined = $this->joined($job, $alone?->start());
        if ($joined !== null) {
            [$at, $run] = $joined;
            array_splice($this->runs, $at, 1, [$run]);
        } elseif ($alone !== null) {
            $this->runs[] = $alone;
        } else {
            $this->without[$job->id] = Said::of('diary.no-time', ['called' => $job->called, 'days' => self::DAYS]);
        }
    }

    /** @param  list<CookerPlace>  $roomy */
    private function alone(CookerJob $job, array $roomy): ?CookerRun
    {
        $best = null;
        foreach ($roomy as $place) {
            $warmUp = $place->warmUpMin([$job]);
            $sessions = $this->free(
                $place->cooker->id,
                $job->hours,
                $warmUp,
                $job->tailMin,
                max($job->earliest, $this->now),
                $job->attended,
                null,
            );
            if ($sessions === null) {
                continue;
            }
            $run = new CookerRun($place->cooker->id, [$job], $sessions, $warmUp);
            // Of those free alike, the smallest: the large one may be wanted.
            if (
                $best === null ||
                [$run->start(), $run->end(), $place->cooker->areaM2()] < [
                    $best->start(),
                    $best->end(),
                    $this->placeOf($best->place)?->cooker->areaM2(),
                ]
            ) {
                $best = $run;
            }
        }

        return $best;
    }

    /** @return array{int, CookerRun}|null the run it joins, and how that is then */
    private function joined(CookerJob $job, ?\DateTimeImmutable $alone): ?array
    {
        $best = null;
        foreach ($this->runs as $at => $run) {
            $place = $this->placeOf($run->place);
            // What has begun is left as it is.
            if ($place === null || ! $job->sharesWarmthWith($run->jobs[0]) || $run->jobs[0]->standsIn !== null) {
                continue;
            }
            $jobs = [...$run->jobs, $job];
            if (! $this->fits($place, array_merge(...array_map(fn (CookerJob $each) => $each->widths, $jobs)))) {
                continue;
            }
            $earliest = max(array_map(fn (CookerJob $each) => $each->earliest, $jobs));
            $warmUp = $place->warmUpMin($jobs);
            $sessions = $this->free(
                $run->place,
                max(array_map(fn (CookerJob $each) => $each->hours, $jobs)),
                $warmUp,
                max(array_map(fn (CookerJob $each) => $each->tailMin, $jobs)),
                max($earliest, $this->now),
                $job->attended,
                $at,
            );
            if ($sessions === null || ($alone !== null && $sessions[0]->from > $alone)) {
                continue;
            }
            $wider = new CookerRun($run->place, $jobs, $sessions, $warmUp);
            if (
                $sessions[0]->from->getTimestamp() - $run->start()->getTimestamp() > self::PATIENCE_H * 3600 ||
                $this->makesLate($run, $wider)
            ) {
                continue;
            }
            if (
                $best === null ||
                [count($sessions) - count($run->sessions), $sessions[0]->from] < [
                    count($best[1]->sessions) - count($this->runs[$best[0]]->sessions),
                    $best[1]->start(),
                ]
            ) {
                $best = [$at, $wider];
            }
        }

        return $best;
    }

    private function makesLate(CookerRun $before, CookerRun $after): bool
    {
        foreach ($before->jobs as $job) {
            if ($job->dueBy !== null && $before->ends($job) <= $job->dueBy && $after->ends($job) > $job->dueBy) {
                return true;
            }
        }

        return false;
    }

    /**
     * The first sessions for so many hours in a cooker that is not taken from their first to their last.
     *
     * @param  int  $warmUp minutes of each session before they are warm
     * @param  int  $tail minutes somebody has to be there for after the heat
     * @param  ?int  $but a run that does not count as taking it
     * @return non-empty-list<Interval>|null
     */
    private function free(string $place, float $hours, int $warmUp, int $tail, \DateTimeImmutable $from, bool $attended, ?int $but): ?array
    {
        $taken = [];
        foreach ($this->runs as $at => $run) {
            if ($run->place === $place && $at !== $but) {
                $taken[] = $run;
            }
        }
        $starts = array_filter(array_map(fn (CookerRun $run) => $run->end(), $taken), fn (\DateTimeImmutable $end) => $end > $from);
        $starts[] = $from;
        sort($starts);
        $far = $this->now->modify('+'.self::DAYS.' days');
        foreach ($starts as $start) {
            $sessions = $attended
                ? Timetable::sessions($hours, $start, $this->availability, $warmUp, $tail)
                : [Timetable::unattended($hours, $start, $this->availability, $warmUp, $tail)];
            $last = $sessions[count($sessions) - 1]->to;
            if ($last > $far) {
                return null;
            }
            foreach ($taken as $run) {
                if ($sessions[0]->from < $run->end() && $last > $run->start()) {
                    continue 2;
                }
            }

            return $sessions;
        }

        return null;
    }

    /**
     * Jars that stand in a cooker stay in it, until the last has its hours.
     *
     * @param  non-empty-list<CookerJob>  $jobs
     */
    private function goOn(string $place, array $jobs): CookerRun
    {
        $hours = max(array_map(fn (CookerJob $job) => $job->hours, $jobs));
        $warmUp = $this->placeOf($place)?->warmUpMin($jobs) ?? 0;
        $since = array_filter(array_map(fn (CookerJob $job) => $job->onSince, $jobs));
        if ($since !== []) {
            // From the switching on: the hours are those still to come from then.
            $on = min($since);
            $while = $this->availability->whileFrom($on);
            $to = Later::seconds($on, $warmUp * 60 + max(1, (int) round($hours * 3600)));
            $stops = $jobs[0]->attended && $while !== null && $while->from == $on ? min($to, $while->to) : $to;
            $left = min($hours, ($to->getTimestamp() - $stops->getTimestamp()) / 3600);

            return new CookerRun(
                $place,
                $jobs,
                [new Interval($on, $stops), ...$left > 1 / 60 ? Timetable::sessions($left, $stops, $this->availability, $warmUp) : []],
                $warmUp,
            );
        }

        return new CookerRun(
            $place,
            $jobs,
            Timetable::sessions(
                $hours,
                max($this->now, ...array_map(fn (CookerJob $job) => $job->earliest, $jobs)),
                $this->availability,
                $warmUp,
            ),
            $warmUp,
        );
    }

    private function placeOf(string $id): ?CookerPlace
    {
        foreach ($this->places as $place) {
            if ($place->cooker->id === $id) {
                return $place;
            }
        }

        return null;
    }

    /** @param  list<float>  $widths */
    private function fits(CookerPlace $place, array $widths): bool
    {
        rsort($widths);

        return $this->fits[$place->cooker->id.':'.implode(',', array_map(fn (float $w) => round($w, 1), $widths))] ??=
            Packing::place($place->cooker, $widths) !== null;
    }
}
