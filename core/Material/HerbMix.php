<?php

declare(strict_types=1);

namespace Kettle\Material;

use Kettle\Reason\Listing;

/**
 * The herbs of one jar, in parts by weight as they lie. Volumes add; nothing is said of one herb's
 * small pieces lying between another's large ones, so the bed is if anything a little lower.
 */
final readonly class HerbMix
{
    /** Water in shelf-dry herb, fraction of its weight: from memory, about a tenth. */
    public const DRY_WATER = 0.1;

    public const MOST = 12;

    /** How far the oil reaches over the bed of wet herb to begin with, as a multiple of it. */
    private const WET_MARGIN = 1.35;

    /** mL for each g as it lies */
    public float $looseMlPerG;

    public float $settledMlPerG;

    public float $ownMlPerG;

    /** g of shelf-dry herb that each g as it lies stands for */
    public float $dryPerG;

    public State $state;

    /** @param  non-empty-list<HerbPart>  $parts */
    private function __construct(public array $parts)
    {
        $loose = $settled = $own = $dry = 0.0;
        $state = State::Dried;
        foreach ($this->shares() as $i => $share) {
            $part = $parts[$i];
            $loose += $part->form->bulk->loose->volumeOf($share);
            $settled += $part->form->bulk->settled->volumeOf($share);
            $own += $part->form->bulk->particle->volumeOf($share);
            $dry += self::dryEquivalent($share, $part->water);
            $state = $state->orWetter($part->form->state);
        }
        [$this->looseMlPerG, $this->settledMlPerG, $this->ownMlPerG, $this->dryPerG, $this->state] = [$loose, $settled, $own, $dry, $state];
    }

    /**
     * @param  list<HerbPart>  $parts
     *
     * @throws MaterialException when there is none, too many, a part that is not above zero, or a herb twice
     */
    public static function of(array $parts): self
    {
        if ($parts === []) {
            throw MaterialException::noHerb();
        }
        if (count($parts) > self::MOST) {
            throw MaterialException::tooManyHerbs(self::MOST);
        }
        $seen = [];
        foreach ($parts as $part) {
            if (! is_finite($part->parts) || $part->parts <= 0 || $part->parts > 100_000) {
                throw MaterialException::badParts($part->plant->name);
            }
            $key = $part->plant->name.'|'.$part->form->id.'|'.$part->form->state->value;
            if (isset($seen[$key])) {
                throw MaterialException::herbTwice($part->plant->name);
            }
            $seen[$key] = true;
        }

        return new self($parts);
    }

    /**
     * m (1 - w) / (1 - w_d): the weight it would have shelf-dry, for the dry matter stays.
     *
     * @param  float  $grams as it lies
     * @param  float  $water fraction
     */
    public static function dryEquivalent(float $grams, float $water): float
    {
        return ($grams * (1 - $water)) / (1 - self::DRY_WATER);
    }

    /** @return non-empty-list<float> by weight as they lie, summing to 1 */
    public function shares(): array
    {
        $total = array_sum(array_map(fn (HerbPart $part) => $part->parts, $this->parts));

        return array_map(fn (HerbPart $part) => $part->parts / $total, $this->parts);
    }

    /** mL for each g as it is put in so */
    public function mlPerG(Lying $lying): float
    {
        $ml = 0.0;
        foreach ($this->shares() as $i => $share) {
            $ml += $this->parts[$i]->form->density($lying)->volumeOf($share);
        }

        return $ml;
    }

    public function first(): HerbPart
    {
        return $this->parts[0];
    }

    public function isSingle(): bool
    {
        return count($this->parts) === 1;
    }

    /** Whether wet and dry herb stand in one jar: the wet one's water does not average out. */
    public function isMixedState(): bool
    {
        return count(array_unique(array_map(fn (HerbPart $part) => $part->form->state->isWet(), $this->parts))) > 1;
    }

    /** By weight, most of it woody: roots, barks, seeds and the like. */
    public function isWoody(): bool
    {
        return $this->shareWhere(fn (HerbPart $part) => $part->form->traits->woody) > 0.5;
    }

    public function isPowder(): bool
    {
        return $this->shareWhere(fn (HerbPart $part) => $part->form->traits->powder) > 0.5;
    }

    /** @return array{all: list<string|array{herb: string}>} its name as a sentence keeps it */
    public function said(): array
    {
        return ['all' => array_map(fn (HerbPart $part) => $part->plant->said(), $this->parts)];
    }

    /** "calendula, lavender and thyme" */
    public function name(): string
    {
        return Listing::of(array_map(fn (HerbPart $part) => $part->plant->name, $this->parts));
    }

    /**
     * The trade's ratio to begin with: the first of 1:5, 1:7, 1:9 and on from there under which the settled bed stays a
     * tenth below the oil. Wet herb is bulky for what is in it, and moulds where
     * it stands out: the leanest whole ratio, 1:5 at the least, that leaves a pint jar its 25 mm of cover.
     *
     * @param  float  $perGram how many of the ratio's grams each gram as it lies counts for
     */
    public function usualParts(float $perGram): float
    {
        if ($this->state->isWet()) {
            return max(5.0, min(30.0, ceil((self::WET_MARGIN * $this->settledMlPerG - $this->ownMlPerG) / $perGram)));
        }
        foreach ([5.0, 7.0, ...range(9.0, 29.0)] as $parts) {
            if ($parts * $perGram + $this->ownMlPerG > 1.1 * $this->settledMlPerG) {
                return (float) $parts;
            }
        }

        return 30.0;
    }

    /** @param  \Closure(HerbPart): bool  $which */
    private function shareWhere(\Closure $which): float
    {
        $share = 0.0;
        foreach ($this->shares() as $i => $each) {
            $share += $which($this->parts[$i]) ? $each : 0.0;
        }

        return $share;
    }

    /** Water of the wettest of them, fraction of its weight: one wet herb makes a wet jar. */
    public function wettest(): float
    {
        return max(array_map(fn (HerbPart $part) => $part->water, $this->parts));
    }

    /** Whether one of them is a watery plant with its water in it; of one the tables do not know, that is taken to be so. */
    public function isWatery(): bool
    {
        return array_filter($this->parts, fn (HerbPart $part) => $part->form->state->isWet() && $part->plant->isWatery()) !== [];
    }

    /** Under what the oil left in it is learned: its form and whether it is wet; null for a mix of forms. */
    public function uptakeKey(): ?string
    {
        $keys = array_unique(array_map(fn (HerbPart $part) => $part->form->id.($part->form->state->isWet() ? ', wet' : ''), $this->parts));

        return count($keys) === 1 ? reset($keys) : null;
    }
}
