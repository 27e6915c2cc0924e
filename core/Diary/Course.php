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
    ) {
    }

    /**
     * @param  \DateTimeImmutable  $startAt when it is planned to be filled, in the house's zone
     * @param  list<Event>  $events oldest first
     * @param  float  $standsH hours it stands after the heat
     * @param  list<array{from: \DateTimeImmutable, to: \DateTimeImmutable}>  $slots sessions the diary keeps for it
     * @param  float  $soakH hours the herb stands moistened with spirit first
     * @param  ?float  $coldWithinH hours from filling to the refrigerator, at the most; null where it need not be cold
     * @param  ?Upkeep  $upkeep of what is bottled, or kept cold; null when none is left
     */
    public static function follow(Method $method, float $hours, \DateTimeImmutable $startAt, Presence $presence, array $events, float $standsH = 0.0, array $slots = [], float $soakH = 0.0, ?Upkeep $upkeep = null, ?float $coldWithinH = null): self
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
        $warmed = $method->heated ? Warmed::from($events) : Warmed::none();
        $timetable = Timetable::lay($method, $hours, $filledAt ?? $done['moisten'] ?? $startAt, $presence, $standsH, $warmed, $slots, $filledAt === null && ! isset($skipped['moisten']) ? $soakH : 0.0, $coldWithinH, $filledAt !== null);
        $last = fn (string $key) => max($done[$key] ?? null, $skipped[$key] ?? null);
        $tasks = match ($stage) {
            Stage::Discarded => [],
            Stage::Bottled => self::keeping($done['bottle'], $last('smell'), $upkeep, $presence, $method),
            Stage::Poured => [self::task(Step::Bottle, $last('decant') ?? $timetable->settledAt, $method), ...self::cold($strainedAt, $upkeep, $presence, $method)],
            Stage::Settling => [...self::settling($strainedAt, $presence, $method), ...self::cold($strainedAt, $upkeep, $presence, $method)],
            default => [...self::untilStrained($method, $timetable, $stage === Stage::Steeping, $last, $presence, $warmed, $hours), ...self::cold($filledAt, $upkeep, $presence, $method)],
        };
        $tasks = array_map(
            fn (Task $task) => match (true) {
                ! isset($later[$task->key()]) => $task,
                // A place in a shared cooker may come later still than it was put off to.
                $task->step === Step::WarmOn => $task->putOffTo(max($later[$task->key()], $task->dueAt)),
                default => $task->putOffTo($later[$task->key()]),
            }, $tasks,
        );
        usort($tasks, fn (Task $a, Task $b) => $a->dueAt <=> $b->dueAt);

        // From when it can be put to warm: filled, off again, and not before somebody put it off to.
        $warmFrom = $method->heated ? max(
            Later::minutes($filledAt ?? $later['fill'] ?? $timetable->fillAt, Timetable::FILLING_MINUTES),
            $warmed->sessions === [] ? null : $warmed->sessions[count($warmed->sessions) - 1]['to'],
            $later['warm_on'.($warmed->nth() > 1 ? '-'.$warmed->nth() : '')] ?? null,
        ) : null;

        return new self($stage, $tasks, $timetable, $filledAt, $strainedAt, $warmed, $warmFrom);
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

    /**
     * The next time it is put to warm, open yet or not: it may be moved before the jar is filled.
     *
     * @throws DiaryRefused when it has had all its warmth, or is warm now
     */
    public function nextWarming(): Task
    {
        foreach ($this->tasks as $task) {
            if ($task->step === Step::WarmOn) {
                return $task;
            }
        }
        throw DiaryRefused::notOpen(Step::WarmOn->verb());
    }

    /** @return list<Task> */
    private static function keeping(\DateTimeImmutable $bottledAt, ?\DateTimeImmutable $last, ?Upkeep $upkeep, Presence $presence, Method $method): array
    {
        $next = $upkeep?->next($bottledAt, $last, $presence);

        return $next === null ? [] : [self::task($next[0], $next[1], $method)];
    }

    /** @return list<Task> what is kept cold has its last day, bottled or not */
    private static function cold(?\DateTimeImmutable $since, ?Upkeep $upkeep, Presence $presence, Method $method): array
    {
        return $since !== null && $upkeep?->useBy === true ? self::keeping($since, null, $upkeep, $presence, $method) : [];
    }

    /** @return list<Task> */
    private static function settling(\DateTimeImmutable $strainedAt, Presence $presence, Method $method): array
    {
        $settled = Timetable::settledAfter($strainedAt, $presence);

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
    private static function untilStrained(Method $method, Timetable $times, bool $filled, \Closure $last, Presence $presence, Warmed $warmed, float $hours): array
    {
        $soaking = ! $filled && $times->beginAt < $times->fillAt;
        $moistened = $last('moisten') !== null;
        $tasks = $filled ? [] : [
            ...($soaking && ! $moistened ? [self::task(Step::Moisten, $times->beginAt, $method)] : []),
            self::task(Step::Fill, $times->fillAt, $method, open: ! $soaking || $moistened),
        ];
        $tasks = [...$tasks, ...($method->heated
            ? self::warming($method, $times, $filled, $last, $warmed)
            : self::shelving($method, $times, $filled, $last, $presence))];
        $warmthDue = $method->heated && ($warmed->onSince !== null || $warmed->left($hours) > 0);
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
    private static function shelving(Method $method, Timetable $times, bool $filled, \Closure $last, Presence $presence): array
    {
        $tasks = [];
        if ($last('top_up') === null) {
            $tasks[] = self::task(Step::TopUp, $presence->nextAwake(Later::hours($times->fillAt, 1)), $method, open: $filled);
        }
        $every = [[Step::Shake, $method->shakeEveryH], [Step::Check, self::CHECK_EVERY_H]];
        foreach ($every as [$step, $hours]) {
            $since = $last($step->value) ?? $times->fillAt;
            $due = $presence->midMorning($since->modify('+'.(int) $hours.' hours'));
            if ($due < $times->strainAt) {
                $tasks[] = self::task($step, $due, $method, open: $filled);
            }
        }

        return $tasks;
    }

    /**
     * Warm: on, shake or stir while it is on, off; session by session, those to come after those gone by.
     *
     * @param  \Closure(string): ?\DateTimeImmutable  $last
     * @return list<Task>
     */
    private static function warming(Method $method, Timetable $times, bool $filled, \Closure $last, Warmed $warmed): array
    {
        $tasks = [];
        foreach (array_slice($times->sessions, count($warmed->sessions)) as $index => $session) {
            $nth = $warmed->nth() + $index;
            $on = $index === 0 ? $warmed->onSince : null;
            if ($on === null) {
                $tasks[] = self::task(Step::WarmOn, $session['from'], $method, $nth, $filled && $index === 0);
            } else {
                $due = Later::hours(max($on, $last('shake') ?? $on), $method->shakeEveryH);
                if ($due < $session['to']) {
                    $tasks[] = self::task(Step::Shake, $due, $method);
                }
            }
            $tasks[] = self::task(Step::WarmOff, $session['to'], $method, $nth, $on !== null);
        }

        return $tasks;
    }

    private static function task(Step $step, \DateTimeImmutable $dueAt, Method $method, int $nth = 1, bool $open = true): Task
    {
        return new Task($step, $nth, $dueAt, $step->place($method->heated), $open);
    }
}
