<?php

declare(strict_types=1);

namespace Kettle\Diary;

use Kettle\Infusion\Method;
use Kettle\Time\Interval;
use Kettle\Time\Later;

/**
 * Where a batch stands and what comes next, folded from its plan and what was done.
 *
 * Nothing here is remembered apart from the events, so striking one out undoes it wholly. When the
 * jar is filled on another day than planned, everything after moves with it.
 */
final readonly class Progress
{
    /** Between looks at a jar on the shelf, hours. */
    private const CHECK_EVERY_H = 168;

    /**
     * @param  list<Task>  $tasks what is open, and what will be, by time
     * @param  ?\DateTimeImmutable  $warmFrom when it can next be put to warm; null on the shelf
     */
    private function __construct(
        public Stage $stage,
        public array $tasks,
        public Timetable $timetable,
        public ?\DateTimeImmutable $filledAt,
        public ?\DateTimeImmutable $strainedAt,
        public Warmed $warmed,
        public ?\DateTimeImmutable $warmFrom,
    ) {}

    /** Warm sessions that are still to come, or going on. */
    public function warmSessionsLeft(): int
    {
        return count(array_filter($this->tasks, fn (Task $task) => $task->step === Step::WarmOff));
    }

    /**
     * @param  \DateTimeImmutable  $startAt when it is planned to be filled, in the house's zone
     * @param  list<Event>  $events oldest first
     * @param  list<Interval>  $slots sessions the diary keeps for it
     * @param  ?Upkeep  $upkeep of what is bottled, or kept cold; null when none is left
     */
    public static function follow(
        Routine $routine,
        \DateTimeImmutable $startAt,
        Availability $availability,
        array $events,
        array $slots = [],
        ?Upkeep $upkeep = null,
    ): self {
        $method = $routine->method;
        $done = $skipped = $later = [];
        $discarded = false;
        foreach ($events as $event) {
            match ($event->what) {
                // The latest counts: one may be written down after another that was done later.
                'done' => ($done[$event->task] = max($done[$event->task] ?? $event->at, $event->at)),
                'skipped' => ($skipped[$event->task] = max($skipped[$event->task] ?? $event->at, $event->at)),
                'later' => ($later[$event->task] = $event->until),
                default => ($discarded = true),
            };
            // A recurring task put off is put off once: doing or skipping it ends that.
            if ($event->what !== 'later') {
                unset($later[$event->task]);
            }
        }
        $filledAt = $done['fill'] ?? null;
        // What is never strained is ready to be used out of what it stands in.
        $bottledAt = $done['bottle'] ?? ($done['ready'] ?? null);
        $strainedAt = $done['strain'] ?? ($done['ready'] ?? null);
        $decanted = ! $routine->rests() || isset($done['decant']) || isset($skipped['decant']);
        $stage = match (true) {
            $discarded => Stage::Discarded,
            $bottledAt !== null => Stage::Bottled,
            $strainedAt !== null && $decanted => Stage::Poured,
            $strainedAt !== null => Stage::Settling,
            $filledAt !== null => Stage::Steeping,
            default => Stage::Planned,
        };
        $warmed = $method->heated ? Warmed::from($events, $routine) : Warmed::none();
        $timetable = Timetable::lay(
            $filledAt === null && ! isset($skipped['moisten']) ? $routine : $routine->soaked(),
            $filledAt ?? ($done['moisten'] ?? $startAt),
            $availability,
            $warmed,
            $slots,
            $filledAt !== null,
        );
        $last = fn (string $key) => max($done[$key] ?? null, $skipped[$key] ?? null);
        $tasks = match ($stage) {
            Stage::Discarded => [],
            Stage::Bottled => self::keeping($bottledAt, $last('smell'), $upkeep, $availability, $method),
            Stage::Poured => [
                self::task(
                    Step::Bottle,
                    $availability->forWork(
                        $last('decant') ??
                            ($routine->rests() ? $timetable->settledAt : Later::minutes($strainedAt, Step::Strain->minutes())),
                        Step::Bottle->minutes(),
                    ),
                    $method,
                ),
                ...self::cold($strainedAt, $upkeep, $availability, $method),
            ],
            Stage::Settling => [
                ...self::settling($strainedAt, $availability, $method),
                ...self::cold($strainedAt, $upkeep, $availability, $method),
            ],
            default => [
                ...self::untilStrained($routine, $timetable, $stage === Stage::Steeping, $last, $availability, $warmed),
                ...self::cold($filledAt, $upkeep, $availability, $method),
            ],
        };
        $tasks = array_map(
            fn (Task $task) => match (true) {
                ! isset($later[$task->key()]) => $task,
                // A place in a shared cooker may come later still than it was put off to.
                $task->step === Step::WarmOn => $task->putOffTo(max($later[$task->key()], $task->dueAt)),
                default => $task->putOffTo($later[$task->key()]),
            },
            $tasks,
        );
        usort($tasks, fn (Task $a, Task $b) => $a->dueAt <=> $b->dueAt);

        // From when it can be put to warm: filled, off again, and not before somebody put it off to.
        $warmFrom = $method->heated
            ? max(
                Later::minutes($filledAt ?? ($later['fill'] ?? $timetable->fillAt), Timetable::FILLING_MINUTES),
                $warmed->sessions === [] ? null : $warmed->sessions[count($warmed->sessions) - 1]->to,
                $later[Step::WarmOn->key($warmed->nth())] ?? null,
            )
            : null;

        return new self($stage, $tasks, $timetable, $filledAt, $strainedAt, $warmed, $warmFrom);
    }

    /** @throws DiaryException when no such task is open */
    public function open(string $key): Task
    {
        foreach ($this->tasks as $task) {
            if ($task->open && $task->key() === $key) {
                return $task;
            }
        }
        throw DiaryException::notOpen(Step::tryFrom(explode('-', $key)[0])?->verb() ?? 'do');
    }

    /**
     * The next time it is put to warm, open yet or not: it may be moved before the jar is filled.
     *
     * @throws DiaryException when it has had all its warmth, or is warm now
     */
    public function nextWarming(): Task
    {
        foreach ($this->tasks as $task) {
            if ($task->step === Step::WarmOn) {
                return $task;
            }
        }
        throw DiaryException::notOpen(Step::WarmOn->verb());
    }

    /** @return list<Task> */
    private static function keeping(
        \DateTimeImmutable $bottledAt,
        ?\DateTimeImmutable $last,
        ?Upkeep $upkeep,
        Availability $availability,
        Method $method,
    ): array {
        $next = $upkeep?->next($bottledAt, $last, $availability);

        return $next === null ? [] : [self::task($next[0], $next[1], $method)];
    }

    /** @return list<Task> what is kept cold has its last day, bottled or not */
    private static function cold(?\DateTimeImmutable $since, ?Upkeep $upkeep, Availability $availability, Method $method): array
    {
        return $since !== null && $upkeep?->useBy === true ? self::keeping($since, null, $upkeep, $availability, $method) : [];
    }

    /** @return list<Task> */
    private static function settling(\DateTimeImmutable $strainedAt, Availability $availability, Method $method): array
    {
        $settled = Timetable::settledAfter($strainedAt, $availability);

        return [self::task(Step::Settle, $settled, $method), ...self::afterStraining($settled, $method, true, open: true)];
    }

    /** @return list<Task> poured off where it settles, and bottled after that */
    private static function afterStraining(\DateTimeImmutable $settled, Method $method, bool $settles, bool $open): array
    {
        return [
            ...$settles ? [self::task(Step::Decant, $settled, $method, open: $open)] : [],
            self::task(Step::Bottle, $settles ? Later::minutes($settled, Step::Decant->minutes()) : $settled, $method, open: false),
        ];
    }

    /**
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function untilStrained(
        Routine $routine,
        Timetable $times,
        bool $filled,
        \Closure $last,
        Availability $availability,
        Warmed $warmed,
    ): array {
        $method = $routine->method;
        $soaking = ! $filled && $times->beginAt < $times->fillAt;
        $moistened = $last('moisten') !== null;
        // What is poured hot is warmed first, and that is a thing to do by itself.
        $cold = ! $filled && $method->has(Method::POURED_HOT) && $last('warm_oil') === null;
        $tasks = $filled
            ? []
            : [
                ...$soaking && ! $moistened ? [self::task(Step::Moisten, $times->beginAt, $method)] : [],
                ...$cold ? [self::task(Step::WarmOil, $times->fillAt, $method)] : [],
                self::task(
                    Step::Fill,
                    $cold ? Later::minutes($times->fillAt, Step::WarmOil->minutes()) : $times->fillAt,
                    $method,
                    open: ! $cold && (! $soaking || $moistened),
                ),
            ];
        $tasks = [
            ...$tasks,
            ...$method->heated
                ? self::warming($method, $times, $filled, $last, $warmed, $availability)
                : self::shelving($method, $times, $filled, $last, $availability),
        ];
        $warmthDue = $method->heated && ($warmed->onSince !== null || $warmed->left($routine->hours) > 0);
        $tasks[] = self::task($routine->strains ? Step::Strain : Step::Ready, $times->strainAt, $method, open: $filled && ! $warmthDue);
        if (! $routine->strains) {
            return $tasks;
        }

        return [...$tasks, ...self::afterStraining($times->settledAt, $method, $routine->settles, open: false)];
    }

    /**
     * On the shelf: top up after an hour, shake by the school, look each week.
     *
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function shelving(Method $method, Timetable $times, bool $filled, \Closure $last, Availability $availability): array
    {
        $tasks = [];
        if ($last('top_up') === null) {
            $tasks[] = self::task(Step::TopUp, $availability->nextAwake(Later::hours($times->fillAt, 1)), $method, open: $filled);
        }
        $every = [[Step::Shake, $method->tending->shakeEveryH], [Step::Check, self::CHECK_EVERY_H]];
        foreach ($every as [$step, $hours]) {
            $since = $last($step->value) ?? $times->fillAt;
            $due = $availability->midMorning($since->modify('+'.(int) $hours.' hours'));
            if ($due < $times->strainAt) {
                $tasks[] = self::task($step, $due, $method, open: $filled);
            }
        }

        return $tasks;
    }

    /**
     * Warm: on, top up after its first hour, shake or stir while it is on, off; session by session, those to come after those gone by.
     *
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function warming(
        Method $method,
        Timetable $times,
        bool $filled,
        \Closure $last,
        Warmed $warmed,
        Availability $availability,
    ): array {
        $tasks = [];
        foreach (array_slice($times->sessions, count($warmed->sessions)) as $index => $session) {
            $nth = $warmed->nth() + $index;
            $on = $index === 0 ? $warmed->onSince : null;
            if ($on === null) {
                $tasks[] = self::task(Step::WarmOn, $session->from, $method, $nth, $filled && $index === 0);
            } else {
                // Nobody gets up for it at night, where it may stand alone.
                $due = $availability->nextAwake(Later::hours(max($on, $last('shake') ?? $on), $method->tending->shakeEveryH));
                if ($due < $session->to) {
                    $tasks[] = self::task(Step::Shake, $due, $method);
                }
            }
            // In the warmth herb drinks soonest: half an inch may be gone in an hour. What is shut tight is not opened for it.
            $drunk = $availability->nextAwake(Later::hours($on ?? $session->from, 1));
            if ($nth === 1 && $last('top_up') === null && ! $method->has(Method::LID_TIGHT) && $drunk < $session->to) {
                $tasks[] = self::task(Step::TopUp, $drunk, $method, open: $on !== null);
            }
            $tasks[] = self::task(Step::WarmOff, $session->to, $method, $nth, $on !== null);
        }

        return $tasks;
    }

    private static function task(Step $step, \DateTimeImmutable $dueAt, Method $method, int $nth = 1, bool $open = true): Task
    {
        return new Task($step, $nth, $dueAt, $step->place($method->heated), $open);
    }
}
