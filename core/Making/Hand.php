<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Making\Line\Mended;
use Kettle\Making\Line\Poured;
use Kettle\Making\Line\Spooned;
use Kettle\Making\Line\StepDone;
use Kettle\Making\Line\Stirred;
use Kettle\Making\Line\TinGone;
use Kettle\Making\Line\Weighed;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Melt\PartKind;
use Kettle\Melt\Solving;
use Kettle\Melt\Verdict;
use Kettle\Recipe\Words;

/** Makes the next line of a product's logbook from what was done, or refuses what cannot be. */
final readonly class Hand
{
    public const MOST_TINS = 500;

    public function __construct(private MakingState $state, private Words $words) {}

    /**
     * @param  ?float  $grams null for as it is to be
     *
     * @throws MakingException
     */
    public function weigh(string $id, ?float $grams, string $typed = ''): Weighed
    {
        $this->open();
        $part = $this->state->pot->part($id) ?? throw MakingException::part($id);
        $name = $this->words->thing($part->said);
        if (isset($this->state->weighed[$id])) {
            throw MakingException::weighedAlready($name);
        }
        if (! $part->isCool() && $this->state->mends > 0) {
            throw MakingException::mendedSince();
        }
        $grams ??= $part->grams;
        if (! is_finite($grams) || $grams <= 0 || $grams > Solving::MOST_G) {
            throw MakingException::amount();
        }
        $this->againstLimits($part, $grams, $name);

        return new Weighed($id, $part->said, round($grams, 4), $typed);
    }

    /** @throws MakingException */
    public function step(string $id, ?float $celsius, ?float $massG = null): StepDone
    {
        if (! in_array($id, $this->state->plan->steps, true) || str_starts_with($id, 'weigh.') || in_array($id, ['pour', 'fill'], true)) {
            throw MakingException::step($id);
        }
        if ($this->state->stage === Stage::Discarded) {
            throw MakingException::notOpen(Stage::Discarded);
        }
        if ($this->state->isDone($id)) {
            throw MakingException::stepDone();
        }
        $this->warm($celsius);
        if ($id === 'sieve' && $this->state->leaf === null) {
            throw MakingException::leafFirst();
        }
        if ($massG !== null && ($id !== 'sieve' || $massG <= 0 || $massG > $this->state->inPot()->massG)) {
            throw MakingException::sieved($this->words->thing(['g' => $this->state->inPot()->massG]));
        }

        return new StepDone($id, $celsius, $massG);
    }

    /** @throws MakingException */
    public function stir(?float $celsius): Stirred
    {
        if ($this->state->leaf === null) {
            throw MakingException::leafFirst();
        }
        $this->warm($celsius);

        return new Stirred($celsius);
    }

    /** @throws MakingException */
    public function spoon(string $is, string $by, ?float $roomC, float $stuckG): Spooned
    {
        if ($this->state->stage === Stage::Discarded) {
            throw MakingException::notOpen(Stage::Discarded);
        }
        if ($roomC !== null && ($roomC < -20 || $roomC > 60)) {
            throw MakingException::room();
        }
        $inUse = $this->state->stage === Stage::Poured;
        $this->sieved();
        if ($stuckG < 0 || $stuckG >= $this->state->pot->massG) {
            throw MakingException::spoon();
        }

        return new Spooned(
            new Verdict($inUse ? $this->state->pot->firmness : $this->state->inPot()->firmness, $is, $by, $roomC),
            $inUse ? 0.0 : $stuckG,
            $inUse,
        );
    }

    /**
     * @param  ?PotPart  $in what was put in
     * @param  float  $outG what was taken out first
     * @param  bool  $food whether what is put in is to be had in food grade
     *
     * @throws MakingException
     */
    public function mend(?PotPart $in, float $outG, bool $food, string $typed = ''): Mended
    {
        $this->open();
        $this->sieved();
        if ($in === null && $outG <= 0) {
            throw MakingException::nothing();
        }
        if ($outG < 0 || $outG >= $this->state->pot->massG) {
            throw MakingException::out();
        }
        if ($in !== null && (! is_finite($in->grams) || $in->grams <= 0 || $this->state->pot->massG + $in->grams > Solving::MOST_G)) {
            throw MakingException::amount();
        }
        if ($in !== null && ! $food && $this->state->plan->eaten) {
            throw MakingException::notFood($this->words->thing($in->said));
        }

        return new Mended($in, $outG, $typed);
    }

    /**
     * @param  list<array{ml: float, holds_ml: float, count: int}>  $tins
     * @param  list<array{lot: string, count: int}>  $taken empty ones out of Stores
     *
     * @throws MakingException
     */
    public function pour(array $tins, ?float $leftMl, string $where, array $taken = []): Poured
    {
        $this->open();
        $this->sieved();
        $tins = array_values(array_filter($tins, fn (array $tin) => $tin['count'] > 0));
        $poured = new Poured($tins, $leftMl, mb_substr($where, 0, 80), $taken);
        $count = array_sum(array_column($tins, 'count'));
        if ($count === 0) {
            throw MakingException::noTins();
        }
        if ($count > self::MOST_TINS) {
            throw MakingException::tooManyTins(self::MOST_TINS);
        }
        $all = $poured->ml() + max(0.0, (float) $leftMl);
        if ($all > $this->state->mostMl()) {
            throw MakingException::moreThanThereIs(
                AmountWriter::plain($all, Kind::Volume),
                AmountWriter::plain($this->state->pot->ml * $this->state->plan->whippedMost, Kind::Volume),
            );
        }

        return $poured;
    }

    /**
     * @param  value-of<TinGone::HOW>  $how
     *
     * @throws MakingException
     */
    public function gone(int $number, string $how, string $to, ?float $price): TinGone
    {
        // What was thrown away as a whole stands somewhere yet: each of its tins may be found and thrown away.
        if ($this->state->poured === null) {
            throw MakingException::notOpen(Stage::Planned);
        }
        $tin = $this->state->tins[$number - 1] ?? throw MakingException::tin($number);
        if ($tin->state !== TinState::IN) {
            throw MakingException::gone($number);
        }
        if ($this->state->stage === Stage::Discarded && $how !== 'thrown') {
            throw MakingException::notOpen(Stage::Discarded);
        }

        return new TinGone($number, $how, $to, $how === 'sold' ? $price : null);
    }

    /** @throws MakingException */
    private function warm(?float $celsius): void
    {
        if ($celsius !== null && ($celsius < 0 || $celsius > 150)) {
            throw MakingException::warmth();
        }
    }

    /** @throws MakingException while a leaf is in it */
    private function sieved(): void
    {
        if ($this->state->leaf !== null) {
            throw MakingException::leafIn();
        }
    }

    /** @throws MakingException */
    private function open(): void
    {
        if (! $this->state->stage->isOpen()) {
            throw MakingException::notOpen($this->state->stage);
        }
    }

    /**
     * What was planned may go in: it was read before it was begun. More than that may not go over a limit.
     *
     * @throws MakingException
     */
    private function againstLimits(PotPart $part, float $grams, string $name): void
    {
        if ($part->kind !== PartKind::Scent) {
            return;
        }
        $rest = $this->state->pot->massG - $part->grams;
        $others =
            $this->state->pot->massG > 0
                ? array_sum(
                    array_map(
                        fn (PotPart $each) => $each->kind === PartKind::Scent && $each->id !== $part->id ? $each->grams : 0.0,
                        $this->state->pot->parts,
                    ),
                )
                : 0.0;
        // x / (rest + x) = share gives x = rest share / (1 - share); all scents together likewise, of the ceiling.
        $most = $part->mostShare === null ? INF : ($rest * $part->mostShare) / max(1e-9, 1 - $part->mostShare);
        $ceiling = $this->state->plan->ceiling;
        $most = $ceiling < 1 ? min($most, ($ceiling * $rest - $others) / (1 - $ceiling)) : $most;
        $most = max($most, $part->grams);
        // A drop more or less is a drop.
        if ($grams > $most + ($part->dropG ?? 0.0) / 2 + 1e-6) {
            throw MakingException::overLimit($name, $this->words->thing($part->holding($most)->amount()));
        }
    }
}
