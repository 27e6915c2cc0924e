<?php

declare(strict_types=1);

namespace Kettle\Making;

use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Logbook;
use Kettle\Making\Line\Mended;
use Kettle\Making\Line\Poured;
use Kettle\Making\Line\Spooned;
use Kettle\Making\Line\StepDone;
use Kettle\Making\Line\Stirred;
use Kettle\Making\Line\TinGone;
use Kettle\Making\Line\Weighed;
use Kettle\Melt\Ingredients;
use Kettle\Melt\Tin;
use Kettle\Melt\TinFilling;
use Kettle\Melt\Verdict;

/** Where a product stands: folded from its frozen plan and its logbook, whenever it is asked. */
final readonly class MakingState
{
    /** Steps by which what goes in last goes in. */
    public const LAST = ['drops', 'drops-cold'];

    /**
     * @param  Pot  $pot what is in it, or was when it was poured; what has not gone in yet as it is to be
     * @param  array<string, float>  $weighed g of each part that is in, as it went in
     * @param  array<string, true>  $done ids of steps
     * @param  list<Verdict>  $verdicts oldest first
     * @param  ?Verdict  $toMend the last one, where it was not right and nothing was done about it yet
     * @param  list<TinState>  $tins
     * @param  string  $bestBefore Y-m-d
     * @param  ?LeafWatch  $leaf while it is in the pot
     * @param  ?float  $loss of the pot, that stayed in it and in the jug; null where nobody looked
     */
    private function __construct(
        public FrozenProduct $plan,
        public Stage $stage,
        public Pot $pot,
        public array $weighed,
        public array $done,
        public array $verdicts,
        public int $mends,
        public ?Verdict $toMend,
        public array $tins,
        public ?Poured $poured,
        public ?\DateTimeImmutable $pouredAt,
        public string $bestBefore,
        public ?float $loss,
        public Takes $takes,
        public ?LeafWatch $leaf,
    ) {}

    public static function of(FrozenProduct $plan, Logbook $log): self
    {
        $warm = $plan->pot->cool(false);
        $cool = $plan->pot->cool(true);
        $plannedG = $warm->massG;
        $weighed = $done = [];
        $toMend = null;
        $tried = false;
        $until = $plan->bestBefore;
        $in = [];
        $leafAt = $stirredAt = $leafC = null;
        foreach ($log->standing as $entry) {
            $line = $entry->line;
            if ($line instanceof Weighed) {
                $weighed[$line->part] = $line->grams;
                $warm = $warm->holding($line->part, $line->grams);
                $cool = $cool->holding($line->part, $line->grams);
            } elseif ($line instanceof StepDone) {
                if ($line->step === 'sieve' && $leafAt !== null) {
                    [$warm, $cool] = self::less($warm, $cool, $weighed, self::held($plan, $warm, $cool, $weighed, $line->massG));
                    $leafAt = null;
                } elseif ($line->step === 'leaf' && $plan->leaf !== null) {
                    [$leafAt, $stirredAt, $leafC] = [$entry->at, $entry->at, $line->celsius];
                }
                $done[$line->step] = true;
                $toMend = $line->step === 'spoon' ? null : $toMend;
                if (in_array($line->step, self::LAST, true)) {
                    // It goes in as it is said there: by what there is in the pot by then.
                    $cool = self::grown($cool, $warm, $plannedG, $weighed);
                    $weighed += array_column($cool->parts, 'grams', 'id');
                }
            } elseif ($line instanceof Stirred) {
                [$stirredAt, $leafC] = [$entry->at, $line->celsius ?? $leafC];
            } elseif ($line instanceof Spooned && ! $line->inUse) {
                [$warm, $cool] = self::less($warm, $cool, $weighed, $line->stuckG);
                $toMend = $line->verdict->is === Verdict::RIGHT ? null : $line->verdict;
                $done = ['spoon' => $toMend === null] + $done;
                $tried = true;
            } elseif ($line instanceof Mended) {
                // Mended, it is tried again.
                $toMend = null;
                $done = ['spoon' => false] + $done;
                [$warm, $cool] = self::less($warm, $cool, $weighed, $line->outG);
                if ($line->in !== null) {
                    $in[] = $line->in;
                    $there = $warm->part($line->in->id);
                    $warm = $there === null ? $warm->with($line->in) : $warm->holding($there->id, $there->grams + $line->in->grams);
                    $until = min($until, $line->in->until ?? $until);
                }
            }
        }
        // What goes in last goes by what there is by then, and not by what was planned.
        $cool = self::grown($cool, $warm, $plannedG, $weighed);
        $pot = $warm->with(...$cool->parts);
        $poured = $log->last(Poured::class);
        $discarded = $log->last(Discarded::class) !== null;
        $begun = $tried || $weighed !== [] || $done !== [] || $log->all(Mended::class) !== [];
        $stage = match (true) {
            $discarded => Stage::Discarded,
            $poured !== null => Stage::Poured,
            $begun => Stage::Making,
            default => Stage::Planned,
        };

        return new self(
            $plan,
            $stage,
            $pot,
            $weighed,
            array_filter($done),
            array_map(fn (Spooned $line) => $line->verdict, $log->all(Spooned::class)),
            count($log->all(Mended::class)),
            $toMend,
            self::tinsOf($plan, $pot, $poured, $log->all(TinGone::class)),
            $poured,
            $log->lastEntry(Poured::class)?->at,
            $until,
            self::lossOf($plan, $pot, $poured),
            // Thrown away before anything was in the pot, it has used nothing.
            $discarded && ! $begun && $poured === null ? Takes::none() : Takes::of($plan->pot, $weighed, $in, $poured, $discarded),
            $plan->leaf === null || $leafAt === null || $stirredAt === null || ! $stage->isOpen()
                ? null
                : LeafWatch::of($plan->leaf, $leafAt, $stirredAt, $leafC),
        );
    }

    /** Whether a step is done: said, or gone by. */
    public function isDone(string $step): bool
    {
        if (isset($this->done[$step]) || ($this->poured !== null && ! in_array($step, ['set', 'wipe', 'label'], true))) {
            return true;
        }
        if (str_starts_with($step, 'weigh.')) {
            return isset($this->weighed[substr($step, 6)]) || $this->mends > 0;
        }
        $cool = $this->pot->cool(true)->parts;

        return in_array($step, self::LAST, true) &&
            $cool !== [] &&
            array_filter($cool, fn (PotPart $part) => ! isset($this->weighed[$part->id])) === [];
    }

    /**
     * What the scale reads when a part is in, g: what is in by now as it went in, what is weighed before it as it is to be.
     *
     * @return ?float null of what goes in cool, which has no scale under it
     */
    public function readsWith(string $part): ?float
    {
        $warm = array_column($this->pot->cool(false)->parts, 'grams', 'id');
        if (! isset($warm[$part])) {
            return null;
        }
        $before = true;
        $reads = $warm[$part];
        foreach ($this->plan->steps as $step) {
            $id = str_starts_with($step, 'weigh.') ? substr($step, 6) : '';
            $before = $before && $id !== $part;
            $reads += $id !== $part && isset($warm[$id]) && ($before || isset($this->weighed[$id])) ? $warm[$id] : 0.0;
        }

        return $reads;
    }

    /**
     * How many times as much is in of the warm parts as was planned of them; 1 while nothing is weighed, or once it was mended.
     */
    public function weighedTimes(): float
    {
        $in = $planned = 0.0;
        foreach ($this->mends > 0 ? [] : $this->plan->pot->cool(false)->parts as $part) {
            if (isset($this->weighed[$part->id])) {
                $in += $this->weighed[$part->id];
                $planned += $part->grams;
            }
        }

        return $planned > 0 ? $in / $planned : 1.0;
    }

    /** What a spoon is tried of: without what goes in when it has cooled, as long as it has not. */
    public function inPot(): Pot
    {
        return new Pot(array_values(array_filter($this->pot->parts, fn (PotPart $part) => ! $part->isCool() || $this->isIn($part->id))));
    }

    /** Whether a part is in the pot: weighed, or gone in with the step that puts it in. */
    public function isIn(string $part): bool
    {
        $there = $this->pot->part($part);

        return isset($this->weighed[$part]) ||
            $this->poured !== null ||
            ($there?->isCool() === false && ($this->mends > 0 || $this->verdicts !== [] || isset($this->done['melt'])));
    }

    /** @return list<array{ml: float, count: int}> how many of the sizes that were planned would be filled from what there is */
    public function filling(): array
    {
        $fill = $this->plan->fill();
        $sizes = array_map(fn (array $tin) => new Tin($tin['ml'], null, $fill), $this->plan->tins());
        // What a leaf will keep is not poured.
        $held = $this->plan->leaf === null || isset($this->done['sieve']) ? 0.0 : $this->plan->leaf->heldMl;
        $pours = max(0.0, $this->pot->ml - $held) * (1 - $this->plan->lossShare) * $this->plan->whipped;

        return $sizes === []
            ? []
            : array_map(fn (array $tin) => ['ml' => $tin['ml'], 'count' => $tin['count']], TinFilling::of($pours, $sizes, false)->tins);
    }

    /** mL that can be poured: what whips up more fills more. */
    public function mostMl(): float
    {
        // A tin is filled to about two per cent.
        return $this->pot->ml * $this->plan->whippedMost * 1.02;
    }

    public function tinsLeft(): int
    {
        return count(array_filter($this->tins, fn (TinState $tin) => $tin->state === TinState::IN));
    }

    /** What is in it, in falling order, through every oil that went in. */
    public function ingredients(): Ingredients
    {
        $each = $herbs = $allergens = [];
        foreach ($this->pot->parts as $part) {
            foreach ($part->through as $one) {
                $each[] = ['name' => $one['name'], 'inci' => $one['inci'], 'grams' => $one['share'] * $part->grams];
            }
            $herbs = [...$herbs, ...$part->herbs];
            $allergens = [...$allergens, ...$part->allergens];
        }

        if ($this->plan->leaf !== null && ($this->poured === null || isset($this->done['leaf']))) {
            $herbs = [...$herbs, ...$this->plan->leaf->plants];
        }

        return Ingredients::falling($each, $herbs, $allergens, $this->plan->fragrance);
    }

    /**
     * With so many g less in the pot: what has not gone in yet is not on the spoon.
     *
     * @param  array<string, float>  $weighed
     * @return array{Pot, Pot}
     */
    private static function less(Pot $warm, Pot $cool, array $weighed, float $grams): array
    {
        $coolIn = array_sum(array_map(fn (PotPart $part) => isset($weighed[$part->id]) ? $part->grams : 0.0, $cool->parts));
        $all = $warm->massG + $coolIn;
        $times = $all > 0 ? max(0.0, 1 - $grams / $all) : 1.0;

        return [
            $warm->times($times),
            new Pot(
                array_map(fn (PotPart $part) => isset($weighed[$part->id]) ? $part->holding($part->grams * $times) : $part, $cool->parts),
            ),
        ];
    }

    /**
     * g that go with the leaf: what is missing from the scale, or what such a leaf keeps.
     *
     * @param  array<string, float>  $weighed
     */
    private static function held(FrozenProduct $plan, Pot $warm, Pot $cool, array $weighed, ?float $massG): float
    {
        $all = $warm->massG + array_sum(array_map(fn (PotPart $part) => isset($weighed[$part->id]) ? $part->grams : 0.0, $cool->parts));

        return $massG !== null ? max(0.0, $all - $massG) : min($all, (($plan->leaf->heldMl ?? 0.0) * $warm->massG) / max(1e-9, $warm->ml));
    }

    /**
     * What has not gone in yet, by what there is in the pot and not by what was planned.
     *
     * @param  array<string, float>  $weighed
     */
    private static function grown(Pot $cool, Pot $warm, float $plannedG, array $weighed): Pot
    {
        $times = $plannedG > 0 ? $warm->massG / $plannedG : 1.0;

        return new Pot(
            array_map(fn (PotPart $part) => isset($weighed[$part->id]) ? $part : $part->holding($part->grams * $times), $cool->parts),
        );
    }

    /**
     * Numbered in the order of the sizes.
     *
     * @param  list<TinGone>  $gone
     * @return list<TinState>
     */
    private static function tinsOf(FrozenProduct $plan, Pot $pot, ?Poured $poured, array $gone): array
    {
        if ($poured === null) {
            return [];
        }
        // What is whipped fills more than its own volume: by how much is seen when it is filled.
        $gramsPerMl =
            $plan->whipped > 1
                ? ($pot->massG * (1 - $plan->lossShare)) / max(1e-9, $poured->ml() + (float) $poured->leftMl)
                : $pot->massG / max(1e-9, $pot->ml);
        $tins = [];
        foreach ($poured->tins as $size) {
            for ($i = 0; $i < $size['count']; $i++) {
                $tins[] = new TinState(count($tins) + 1, $size['ml'], $size['holds_ml'] * $gramsPerMl);
            }
        }
        foreach ($gone as $line) {
            if (isset($tins[$line->tin - 1])) {
                $tins[$line->tin - 1] = $tins[$line->tin - 1]->after($line);
            }
        }

        return $tins;
    }

    private static function lossOf(FrozenProduct $plan, Pot $pot, ?Poured $poured): ?float
    {
        return $poured?->leftMl === null || $plan->whipped > 1 || $pot->ml <= 0
            ? null
            : max(0.0, 1 - ($poured->ml() + $poured->leftMl) / $pot->ml);
    }
}
