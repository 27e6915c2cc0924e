<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;
use Kettle\Diary\Routine;
use Kettle\Infusion\Method;
use Kettle\Infusion\SpiritStart;
use Kettle\Infusion\Variant;
use Kettle\Material\Blend;
use Kettle\Material\HerbMix;
use Kettle\Measure\Ratio;

/** What a cook wants, read and checked; null where nothing was chosen. */
final readonly class Wish
{
    /** @param  float  $roomC the room it is made in, degrees C */
    public function __construct(
        public HerbMix $mix,
        public Blend $blend,
        public Sizing $sizing,
        public Method $method,
        public Variant $variant,
        public WishedDays $days,
        public Practice $practice,
        public string $purpose,
        public Asked $asked,
        private float $roomC = Kitchen::ROOM_C,
    ) {}

    /** The method as this cook goes about it. */
    public function practised(): Method
    {
        return $this->method->as($this->variant, $this->practice->shakeEveryH);
    }

    /** How it is kept: the cold and the soured way are for wet herb in the kitchen, and mean nothing else. */
    public function storage(): string
    {
        return $this->purpose === 'kitchen' && $this->mix->state->isWet() ? $this->practice->storedAs : ColdStorage::SHELF;
    }

    /** Hours from covering to the refrigerator, at the most, for what is kept cold; null for what is not. */
    public function coldWithinH(): ?float
    {
        return $this->storage() === ColdStorage::FRIDGE ? (float) ColdStorage::MOST_WARM_H : null;
    }

    /** Hours it stands after the heat: what is kept cold, and what would set, is strained at once. */
    public function standsH(): float
    {
        return $this->coldWithinH() === null && ! $this->sets() ? $this->practice->standsH ?? $this->variant->standsH : 0.0;
    }

    /** Whether its oil sets in the room it is made in, and so is worked warm to the end. */
    public function sets(): bool
    {
        return $this->blend->isHardAt($this->roomC);
    }

    /** Hours the moistened herb stands before it goes into the oil. */
    public function soakH(): float
    {
        return $this->practice->spirit ? SpiritStart::STANDS_H : 0.0;
    }

    /** What it asks of the days, where getting warm takes so many minutes. */
    public function routine(int $warmUpMin): Routine
    {
        return new Routine(
            $this->practised(),
            $this->variant->usualH,
            $this->standsH(),
            $this->soakH(),
            $this->coldWithinH(),
            $warmUpMin,
            ! $this->sets(),
            $this->practice->strained,
        );
    }

    /** The same wish by another method and school. */
    public function by(Method $method, Variant $variant): self
    {
        return new self(
            $this->mix,
            $this->blend,
            $this->sizing->forVessels($method->wants->vessels, ! $method->has(Method::IN_PAN), $method->wants->brimSwingC !== null),
            $method,
            $variant,
            $this->days,
            $this->practice->byAnother($method->heated),
            $this->purpose,
            $this->asked,
            $this->roomC,
        );
    }

    /** Whether nobody remembers how much went into a jar that stands: it is taken for what such a jar usually has. */
    public function isGuessed(): bool
    {
        $sizing = $this->sizing;

        return $this->asked->stands &&
            $sizing->herb === null &&
            $sizing->oil === null &&
            $sizing->byJar === null &&
            $sizing->finished === null;
    }

    /** The same wish with a leaner ratio, as JarRemedies::leaner takes it, to see whether it covers. */
    public function leaner(Ratio $ratio): self
    {
        return $this->with($this->blend, $this->sizing->leaner($ratio));
    }

    /** The same wish with the grams of its ratio taken as the herb lies, tried to see if that covers the herb. */
    public function asItLies(Ratio $ratio): self
    {
        return $this->with($this->blend, $this->sizing->asItLies($ratio));
    }

    /** The same wish in another oil. */
    public function inOil(Blend $blend): self
    {
        return $this->with($blend, $this->sizing);
    }

    /** How many of the ratio's grams each gram as it lies counts for. */
    public function perGramAsItLies(string $convention = Ratio::WEIGHT_TO_VOLUME): float
    {
        return $this->sizing->basis === Sizing::DRY && $convention !== Ratio::VOLUME_TO_VOLUME ? $this->mix->dryPerG : 1.0;
    }

    private function with(Blend $blend, Sizing $sizing): self
    {
        return new self(
            $this->mix,
            $blend,
            $sizing,
            $this->method,
            $this->variant,
            $this->days,
            $this->practice,
            $this->purpose,
            $this->asked,
            $this->roomC,
        );
    }
}
