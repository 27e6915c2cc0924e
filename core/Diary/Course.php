<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;

/**
 * Where a batch stands and what comes next, folded from its plan and what was done.
 *
 * Nothing here is remembered apart from the events, so striking one out undoes it wholly. When the
 * jar is filled on another day than planned, everything after moves with it.
 */
final readonly class Course
{
    /** Between looks at a jar on the shelf, hours. */
    private const CHECK_EVERY_H = 168;

    /** @param  list<Task>  $tasks what is open, and what will be, by time */
    private function __construct(
        public Stage $stage,
        public array $tasks,
        public Timetable $timetable,
        public ?\DateTimeImmutable $filledAt,
        public ?\DateTimeImmutable $strainedAt,
    ) {
    }

    /**
     * @param  \DateTimeImmutable  $startAt when it is planned to be filled, in the house's zone
     * @param  list<Event>  $events oldest first
     * @param  float  $standsH hours it stands after the heat
     */
    public static function follow(Method $method, float $hours, \DateTimeImmutable $startAt, WakingHours $waking, array $events, float $standsH = 0.0): self
    {
        $done = $skipped = $later = [];
        $discarded = false;
        foreach ($events as $event) {
            match ($event->what) {
                'done' => $done[$event->task] = $event->at,
                'skipped' => $skipped[$event->task] = $event->at,
                'later' => $later[$event->task] = $event->until,
                default => $discarded = true,
            };
            // A recurring task put off is put off once: doing or skipping it ends that.
            if ($event->what !== 'later') {
                unset($later[$event->task]);
            }
        }
        $filledAt = $done['fill'] ?? null;
        $strainedAt = $done['strain'] ?? null;
        $decanted = isset($done['decant']) || isset($skipped['decant']);
        $stage = match (true) {
            $discarded => Stage::Discarded,
            isset($done['bottle']) => Stage::Bottled,
            $strainedAt !== null && $decanted => Stage::Poured,
            $strainedAt !== null => Stage::Settling,
            $filledAt !== null => Stage::Steeping,
            default => Stage::Planned,
        };
        $timetable = Timetable::lay($method, $hours, $filledAt ?? $startAt, $waking, $standsH);
        $last = fn (string $key) => max($done[$key] ?? null, $skipped[$key] ?? null);
        $tasks = match ($stage) {
            Stage::Discarded, Stage::Bottled => [],
            Stage::Poured => [self::task(Step::Bottle, $last('decant') ?? $timetable->settledAt, $method)],
            Stage::Settling => self::settling($strainedAt, $waking, $method),
            default => self::untilStrained($method, $timetable, $stage === Stage::Steeping, $last, $waking),
        };
        $tasks = array_map(
            fn (Task $task) => isset($later[$task->key()]) ? $task->putOffTo($later[$task->key()]) : $task, $tasks,
        );
        usort($tasks, fn (Task $a, Task $b) => $a->dueAt <=> $b->dueAt);

        return new self($stage, $tasks, $timetable, $filledAt, $strainedAt);
    }

    /** @throws DiaryRefused when no such task is open */
    public function open(string $key): Task
    {
        foreach ($this->tasks as $task) {
            if ($task->open && $task->key() === $key) {
                return $task;
            }
        }
        throw DiaryRefused::notOpen(Step::tryFrom(explode('-', $key)[0])?->verb() ?? 'do');
    }

    /** @return list<Task> */
    private static function settling(\DateTimeImmutable $strainedAt, WakingHours $waking, Method $method): array
    {
        $settled = Timetable::settledAfter($strainedAt, $waking);

        return [
            self::task(Step::Settle, $settled, $method),
            self::task(Step::Decant, $settled, $method),
            self::task(Step::Bottle, $settled->modify('+15 minutes'), $method, open: false),
        ];
    }

    /**
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function untilStrained(Method $method, Timetable $times, bool $filled, \Closure $last, WakingHours $waking): array
    {
        $tasks = $filled ? [] : [self::task(Step::Fill, $times->fillAt, $method)];
        $tasks = [...$tasks, ...($method->heated
            ? self::warming($method, $times, $filled, $last)
            : self::shelving($method, $times, $filled, $last, $waking))];
        $warmthDue = $method->heated && $last(self::key(Step::WarmOff, count($times->sessions))) === null;
        $tasks[] = self::task(Step::Strain, $times->strainAt, $method, open: $filled && ! $warmthDue);
        $tasks[] = self::task(Step::Decant, $times->settledAt, $method, open: false);
        $tasks[] = self::task(Step::Bottle, $times->settledAt->modify('+15 minutes'), $method, open: false);

        return $tasks;
    }

    /**
     * On the shelf: top up after an hour, shake by the school, look each week.
     *
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function shelving(Method $method, Timetable $times, bool $filled, \Closure $last, WakingHours $waking): array
    {
        $tasks = [];
        if ($last('top_up') === null) {
            $tasks[] = self::task(Step::TopUp, $waking->nextAwake($times->fillAt->modify('+1 hour')), $method, open: $filled);
        }
        $every = [[Step::Shake, $method->shakeEveryH], [Step::Check, self::CHECK_EVERY_H]];
        foreach ($every as [$step, $hours]) {
            $since = $last($step->value) ?? $times->fillAt;
            $due = $waking->midMorning($since->modify('+'.(int) $hours.' hours'));
            if ($due < $times->strainAt) {
                $tasks[] = self::task($step, $due, $method, open: $filled);
            }
        }

        return $tasks;
    }

    /**
     * Warm: on, shake or stir while it is on, off; session by session.
     *
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function warming(Method $method, Timetable $times, bool $filled, \Closure $last): array
    {
        $tasks = [];
        $before = $filled;
        foreach ($times->sessions as $index => $session) {
            $nth = $index + 1;
            $on = $last(self::key(Step::WarmOn, $nth));
            $off = $last(self::key(Step::WarmOff, $nth));
            if ($on === null) {
                $tasks[] = self::task(Step::WarmOn, $session['from'], $method, $nth, $before);
            }
            if ($on !== null && $off === null) {
                $since = max($on, $last('shake') ?? $on);
                $due = $since->modify('+'.(int) round($method->shakeEveryH * 60).' minutes');
                if ($due < $session['to']) {
                    $tasks[] = self::task(Step::Shake, $due, $method);
                }
            }
            if ($off === null) {
                // Switched on late, it goes off late: the hours at warmth are what counts.
                $length = $session['to']->getTimestamp() - $session['from']->getTimestamp();
                $tasks[] = self::task(
                    Step::WarmOff, $on === null ? $session['to'] : $on->modify("+{$length} seconds"), $method, $nth, $on !== null,
                );
            }
            $before = $off !== null;
        }

        return $tasks;
    }

    private static function task(Step $step, \DateTimeImmutable $dueAt, Method $method, int $nth = 1, bool $open = true): Task
    {
        return new Task($step, $nth, $dueAt, $step->place($method->heated), $open);
    }

    private static function key(Step $step, int $nth): string
    {
        return $step->value.($nth > 1 ? '-'.$nth : '');
    }
}
