<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Decoction\BoilDays;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\LevelLog;
use Kettle\Diary\Availability;
use Kettle\Time\Interval;
use Kettle\Time\Later;

/**
 * How far a pot has come down and when it is done: by its own marks where two or more tell, else by what was reckoned when it
 * was begun; in days with somebody at home.
 */
final readonly class Level
{
    /**
     * @param  array{low: ?float, value: float, high: ?float}  $rate mL an hour
     * @param  bool  $learned whether by its own marks
     * @param  ?float  $nowMl what stands in it; null where nobody knows what did at first
     * @param  array{low: ?float, value: float, high: ?float}|null  $moreH hours of flame to go; no upper
     *     end where the marks do not bound it
     * @param  list<Interval>  $sessions to come, the first going on now where it is over the flame
     * @param  array{low: ?\DateTimeImmutable, value: ?\DateTimeImmutable, high: ?\DateTimeImmutable}  $doneAt null where nobody is at
     *     home for so long
     * @param  list<array{at: \DateTimeImmutable, ml: float}>  $track what stood in it, flat while it was off the flame
     * @param  list<array{at: \DateTimeImmutable, low: float, ml: float, high: float}>  $ahead what is to stand in it
     */
    private function __construct(
        public array $rate,
        public bool $learned,
        public int $marks,
        public ?float $nowMl,
        public ?float $leftMl,
        public ?array $moreH,
        public array $sessions,
        public array $doneAt,
        public array $track,
        public array $ahead,
        public bool $waits = false,
    ) {}

    /** @param  ?Availability  $free when a burner is free as well, where the stove is shared */
    public static function of(BoilState $state, \DateTimeImmutable $now, Availability $availability, ?Availability $free = null): self
    {
        $plan = $state->plan;
        $marks = $state->marks;
        $from = $marks === [] ? null : $marks[0]['h'];
        $log = self::log($state);
        $rate = $log?->rate() ?? $plan->rate;
        $last = $marks === [] ? null : $marks[count($marks) - 1];
        // What stood in it after so many hours of flame in all.
        $at = match (true) {
            $log !== null => fn (float $h): float => $log->at($h - (float) $from),
            $last !== null => fn (float $h): float => $last['ml'] - $rate['value'] * ($h - $last['h']),
            $plan->startsMl !== null => fn (float $h): float => $plan->startsMl - $rate['value'] * $h,
            default => null,
        };
        if ($at === null) {
            return new self($rate, false, 0, null, null, null, [], ['low' => null, 'value' => null, 'high' => null], [], []);
        }
        $hours = $state->flameHAt($now);
        $nowMl = max($plan->endsMl, $at($hours));
        $left = $nowMl - $plan->endsMl;
        $more = self::more($log, $plan, $left, $hours - (float) $from);
        $starts = max($now, $state->notBefore ?? $now)->setTimezone($now->getTimezone());
        $had = $starts->format('Y-m-d') === $now->format('Y-m-d') ? $state->flameHOn($now) : 0.0;
        $by = fn (Availability $when): \Closure => fn (float $h): array => BoilDays::lay($h, $plan->hoursADay, $starts, $when, $had);
        $lay = $by($free ?? $availability);
        $sessions = $state->stage->isOpen() ? $lay($more['value']) : [];
        $end = fn (?float $h): ?\DateTimeImmutable => $h === null ? null : self::endOf($h <= 0 ? [] : $lay($h), $h, $now);
        $open = $state->stage->isOpen();

        return new self(
            $rate,
            $log !== null,
            count($marks),
            $nowMl,
            $left,
            $more,
            $sessions,
            $open
                ? ['low' => $end($more['low']), 'value' => $end($more['value']), 'high' => $end($more['high'])]
                : ['low' => null, 'value' => null, 'high' => null],
            self::track($state, $at),
            $open ? self::ahead($sessions, $nowMl, $plan->endsMl, $rate) : [],
            $free !== null && $sessions !== [] && $sessions[0]->from > ($by($availability)($more['value'])[0]->from ?? $sessions[0]->from),
        );
    }

    /** By its own marks; null where they do not tell: fewer than two, or no flame between them. */
    private static function log(BoilState $state): ?LevelLog
    {
        $from = $state->marks[0]['h'] ?? 0.0;
        try {
            return LevelLog::of(
                array_map(fn (array $mark) => ['h' => $mark['h'] - $from, 'ml' => $mark['ml']], $state->marks),
                $state->plan->pot,
            );
        } catch (DecoctionException) {
            return null;
        }
    }

    /**
     * @param  float  $since hours of flame since the first mark
     * @return array{low: ?float, value: float, high: ?float}
     */
    private static function more(?LevelLog $log, FrozenBoil $plan, float $left, float $since): array
    {
        if ($log === null) {
            return ['low' => $left / $plan->rate['high'], 'value' => $left / $plan->rate['value'], 'high' => $left / $plan->rate['low']];
        }
        $end = $log->end($plan->endsMl);
        $on = fn (?float $h): ?float => $h === null ? null : max(0.0, $h - $since);

        return ['low' => $on($end['low']), 'value' => (float) $on($end['value']), 'high' => $on($end['high'])];
    }

    /** @param  list<Interval>  $sessions */
    private static function endOf(array $sessions, float $hours, \DateTimeImmutable $now): ?\DateTimeImmutable
    {
        if ($hours <= 0) {
            return $now;
        }
        $laid = array_sum(array_map(fn (Interval $each) => $each->minutes(), $sessions));

        return $sessions === [] || $laid + 1 < $hours * 60 ? null : $sessions[count($sessions) - 1]->to;
    }

    /**
     * @param  \Closure(float): float  $at
     * @return list<array{at: \DateTimeImmutable, ml: float}>
     */
    private static function track(BoilState $state, \Closure $at): array
    {
        $track = [];
        $hours = 0.0;
        foreach ($state->flames as $flame) {
            $track[] = ['at' => $flame->from, 'ml' => max($state->plan->endsMl, $at($hours))];
            $hours = $state->flameHAt($flame->to);
            $track[] = ['at' => $flame->to, 'ml' => max($state->plan->endsMl, $at($hours))];
        }

        return $track;
    }

    /**
     * @param  list<Interval>  $sessions
     * @param  array{low: ?float, value: float, high: ?float}  $rate
     * @return list<array{at: \DateTimeImmutable, low: float, ml: float, high: float}>
     */
    private static function ahead(array $sessions, float $nowMl, float $endsMl, array $rate): array
    {
        $ahead = [];
        $hours = 0.0;
        $left = fn (?float $mlPerH, float $h): float => max($endsMl, $nowMl - ($mlPerH ?? $rate['value']) * $h);
        foreach ($sessions as $session) {
            foreach ([0, $session->minutes()] as $minutes) {
                $h = $hours + $minutes / 60;
                $ahead[] = [
                    'at' => Later::minutes($session->from, $minutes),
                    'low' => $left($rate['high'], $h),
                    'ml' => $left($rate['value'], $h),
                    'high' => $left($rate['low'], $h),
                ];
            }
            $hours += $session->minutes() / 60;
        }

        return $ahead;
    }
}
