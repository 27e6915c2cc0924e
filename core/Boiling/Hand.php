<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\Line;
use Kettle\Boiling\Line\Covered;
use Kettle\Boiling\Line\Lit;
use Kettle\Boiling\Line\Made;
use Kettle\Boiling\Line\Marked;
use Kettle\Boiling\Line\Moved;
use Kettle\Boiling\Line\SignsSeen;
use Kettle\Boiling\Line\Taken;
use Kettle\Boiling\Line\Warmed;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\Doneness;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Time\Dates;

/** What may be done at a pot where it stands, and when: each a line of its logbook, or refused. */
final readonly class Hand
{
    /** Read off a stick, so much higher is no rise, mm. */
    private const STICK_MM = 2.0;

    /**
     * No flame of a kitchen boils off more, g/h: 4 kW that all go into steam, at 2257 kJ/kg of water (IAPWS R7-97 at
     * 100 °C, from memory). The burner's size is common practice, no source.
     */
    private const MOST_G_PER_H = 6_400.0;

    /** A mark read before is so far out at the most, as a share of it. Common practice, no source. */
    private const SLIP = 0.1;

    /** What is strained out may be so much more than stood in it, for no jug is exact. */
    private const SLACK = 1.1;

    private const HOTTEST_C = 250.0;

    /** No pot is put off for longer, days. */
    private const MOVED_DAYS = 90;

    /**
     * @param  \Closure(float): string  $plain an amount of what it holds, in words
     * @param  \Closure(string): string  $says why a sign does not agree, by its code
     */
    public function __construct(private BoilState $state, private Tables $tables, private \Closure $plain, private \Closure $says) {}

    /** @throws BoilException */
    public function light(): Line
    {
        $this->atTheStove();

        return $this->state->stage === Stage::On ? throw BoilException::on() : new Lit();
    }

    /** @throws BoilException */
    public function cover(): Line
    {
        $this->atTheStove();

        return $this->state->stage === Stage::On ? new Covered() : throw BoilException::off();
    }

    /**
     * Not before a time. It puts off no day that what stands in it has.
     *
     * @param  ?string  $goodUntil day that what was poured in is good until, YYYY-MM-DD
     *
     * @throws BoilException
     */
    public function move(\DateTimeImmutable $until, \DateTimeImmutable $now, ?string $goodUntil): Line
    {
        $this->atTheStove();
        if ($this->state->stage === Stage::On) {
            throw BoilException::moveLit();
        }
        if ($until <= $now || $until > $now->modify('+'.self::MOVED_DAYS.' days')) {
            throw BoilException::moveWhen($now, self::MOVED_DAYS);
        }
        if ($goodUntil !== null && $until->format('Y-m-d') > $goodUntil) {
            throw BoilException::moveTooFar(Dates::say($goodUntil));
        }

        return new Moved($until);
    }

    /**
     * @param  ?float  $mm by a stick
     * @param  ?float  $ml by the pot's marks, or g by weight
     *
     * @throws RefusedException when it is above the rim, or higher than the mark before it
     */
    public function mark(?float $mm, ?float $ml, string $typed, bool $anew, \DateTimeImmutable $at): Line
    {
        $this->atTheStove();
        $pot = $this->state->plan->pot;
        $stands = $mm === null ? $ml : $pot?->mlAt($mm) ?? throw DecoctionException::stickWithoutPot()->about('level');
        if ($stands === null || ! is_finite($stands) || $stands < 0) {
            throw BoilException::noLevel();
        }
        if ($stands > ($pot?->brimMl() ?? INF) + 1e-6) {
            throw BoilException::aboveRim();
        }
        $last = $this->state->marks === [] ? null : $this->state->marks[count($this->state->marks) - 1];
        $misread = ($pot?->mlAt(self::STICK_MM) ?? 0.0) + 1e-6;
        if ($last !== null && ! $anew && $stands > $last['ml'] + $misread) {
            throw BoilException::rises(($this->plain)($last['ml']));
        }
        $gone = $last === null || $anew ? 0.0 : $last['ml'] - $stands;
        if (
            $last !== null &&
            $gone > (self::MOST_G_PER_H * ($at->getTimestamp() - $last['at']->getTimestamp())) / 3600 + self::SLIP * $last['ml'] + $misread
        ) {
            throw BoilException::fellTooFast(($this->plain)($gone), Dates::say($last['at'], 'moment'));
        }

        return new Marked(round($stands, 3), $typed, $anew);
    }

    /** @throws BoilException */
    public function warm(float $celsius): Line
    {
        $this->atTheStove();

        return is_finite($celsius) && $celsius >= 0 && $celsius <= self::HOTTEST_C ? new Warmed($celsius) : throw BoilException::warmth();
    }

    /**
     * @param  array<string, string>  $seen
     *
     * @throws RefusedException
     */
    public function see(array $seen): Line
    {
        $this->atTheStove();
        if (! $this->state->plan->signs) {
            throw BoilException::noSigns();
        }
        if ($this->state->flames === []) {
            throw BoilException::notLit();
        }
        if ($seen === []) {
            throw BoilException::nothingSeen();
        }
        Doneness::of($seen, $this->state->plan->fat);

        return new SignsSeen($seen);
    }

    /**
     * Strained. A long oil is strained when four signs agree; where they do not, somebody says that it is strained all the same.
     *
     * @param  float  $amount mL, or g of what is made by weight
     * @param  ?string  $batch the oil it was bottled as
     *
     * @throws BoilException
     */
    public function make(float $amount, string $typed, string $where, bool $anyway, \DateTimeImmutable $now, ?string $batch = null): Made
    {
        $this->atTheStove();
        $plan = $this->state->plan;
        if ($this->state->flames === []) {
            throw BoilException::notLit();
        }
        // Of oil no more comes out than went in; of water what is strained too soon.
        $most = ($plan->underOil ? $plan->made : max($plan->made, $plan->startsMl ?? 0.0)) * self::SLACK;
        if (! is_finite($amount) || $amount <= 0 || $amount > $most) {
            throw BoilException::tooMuch(($this->plain)($most));
        }
        $done = Signs::of($this->state, $now, $this->tables)?->done;
        if ($done !== null && $done->verdict === Doneness::NOT_YET && ! $anyway) {
            throw BoilException::signsDisagree(implode(' ', array_map($this->says, $done->why)));
        }
        $days = $plan->keepsDays;

        return new Made(
            round($amount, 3),
            $typed,
            $where,
            $done?->verdict,
            $days === null ? null : $now->modify("+{$days} days")->format('Y-m-d'),
            $batch,
        );
    }

    /** What there is of it yet, g or mL as it is reckoned. */
    public function left(): float
    {
        return $this->state->left;
    }

    /**
     * @param  string  $to for what, or to whom
     * @param  string  $into the product or the pot it goes into
     * @param  value-of<Taken::HOW>  $how
     *
     * @throws BoilException
     */
    public function take(float $amount, string $typed, string $to, \DateTimeImmutable $now, string $into = '', string $how = 'used'): Line
    {
        if ($this->state->stage !== Stage::Made) {
            throw BoilException::notMade();
        }
        $until = $this->state->made?->bestBefore;
        if ($until !== null && $until < $now->format('Y-m-d')) {
            throw BoilException::pastItsDay(Dates::say($until));
        }
        if (! is_finite($amount) || $amount <= 0 || $amount > $this->state->left + 0.5) {
            throw BoilException::notSoMuchLeft(($this->plain)($this->state->left));
        }

        return new Taken(round(min($amount, $this->state->left), 3), $typed, $to, $into, $how);
    }

    /** @throws BoilException */
    public function discard(): Line
    {
        return $this->state->stage === Stage::Discarded || $this->state->stage === Stage::Gone
            ? throw BoilException::closed()
            : new Discarded();
    }

    /**
     * When it happened: no earlier than the line before it, and not to come.
     *
     * @throws BoilException
     */
    public function at(\DateTimeImmutable $at, \DateTimeImmutable $now): \DateTimeImmutable
    {
        $last = $this->state->lastAt;

        return $at > $now || ($last !== null && $at < $last)
            ? throw BoilException::earlier($last === null ? Dates::say($now, 'moment') : Dates::say($last, 'moment'))
            : $at;
    }

    /** @throws BoilException */
    private function atTheStove(): void
    {
        $this->state->stage->isOpen() || throw BoilException::closed();
    }
}
