<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdKept;
use Kettle\Diary\Routine;
use Kettle\Infusion\Method;
use Kettle\Infusion\SpiritStart;
use Kettle\Infusion\Variant;
use Kettle\Material\Blend;
use Kettle\Material\HerbMix;
use Kettle\Measure\Amount;
use Kettle\Measure\Ratio;
use Kettle\Vessel\Jar;

/** What a cook wants, read and checked; null where nothing was chosen. */
final readonly class Wish
{
    /** The ratio's grams are of herb as if it were shelf-dry. */
    public const DRY = 'dry';

    /** The ratio's grams are of herb as it lies. */
    public const AS_IT_LIES = 'as-it-lies';

    /** How often a jar on the shelf is shaken, hours: four schools, common practice. */
    /** Jars that one batch is filled into. */
    public const MOST_JARS = 24;

    public const SHAKES = ['twice-daily' => 12.0, 'daily' => 24.0, 'few-days' => 72.0, 'weekly' => 168.0];

    /**
     * @param  ?Amount  $herb g of all herbs as they lie
     * @param  ?Amount  $oil mL
     * @param  string  $basis DRY or AS_IT_LIES
     * @param  ?int  $jars how many jars alike
     * @param  string  $way how it is got out: drained, squeezed or pressed
     * @param  array<string, string>  $oilLots lot to take from first, by carrier id
     * @param  list<string>  $chosen the words of the sentence the cook chose, by slot
     * @param  array<string, mixed>  $source the wish document, tidied
     * @param  bool  $spirit whether the herb is moistened with spirit first
     * @param  string  $keptAs of ColdKept::KEPT, as it was wished
     * @param  ?float  $shakeEveryH how often a jar on the shelf is shaken, where the cook said
     * @param  float  $roomC the room it is made in, degrees C
     * @param  bool  $seekingCover whether it is tried only to see if its ratio covers the herb
     */
    public function __construct(
        public HerbMix $mix,
        public Blend $blend,
        public ?Amount $herb,
        public ?Amount $oil,
        public ?Finished $finished,
        public ?ByJar $byJar,
        public ?Ratio $ratio,
        public string $basis,
        public ?Jar $jar,
        public ?int $jars,
        public Method $method,
        public Variant $school,
        public ?\DateTimeImmutable $start,
        public ?\DateTimeImmutable $readyBy,
        public string $purpose,
        public string $way,
        public array $oilLots,
        public array $chosen,
        public array $source,
        public bool $spirit = false,
        public ?float $shakeEveryH = null,
        private string $keptAs = ColdKept::SHELF,
        public bool $seekingCover = false,
        private float $roomC = Kitchen::ROOM_C,
    ) {}

    /** "twice a day", "daily", "every few days", "weekly" */
    public static function oftenness(float $everyH): string
    {
        return match (true) {
            $everyH < 18 => 'twice a day',
            $everyH <= 24 => 'daily',
            $everyH < 150 => 'every few days',
            default => 'weekly',
        };
    }

    /** The method as this cook goes about it. */
    public function practised(): Method
    {
        return $this->method->as($this->school, $this->shakeEveryH);
    }

    /** How it is kept: the cold and the soured way are for wet herb in the kitchen, and mean nothing else. */
    public function kept(): string
    {
        return $this->purpose === 'kitchen' && $this->mix->state->isWet() ? $this->keptAs : ColdKept::SHELF;
    }

    /** Hours from covering to the refrigerator, at the most, for what is kept cold; null for what is not. */
    public function coldWithinH(): ?float
    {
        return $this->kept() === ColdKept::FRIDGE ? (float) ColdKept::MOST_WARM_H : null;
    }

    /** Hours it stands after the heat: what is kept cold, and what would set, is strained at once. */
    public function standsH(): float
    {
        return $this->coldWithinH() === null && ! $this->sets() ? $this->school->standsH : 0.0;
    }

    /** Whether its oil sets in the room it is made in, and so is worked warm to the end. */
    public function sets(): bool
    {
        return $this->blend->isHardAt($this->roomC);
    }

    /** Hours the moistened herb stands before it goes into the oil. */
    public function soakH(): float
    {
        return $this->spirit ? SpiritStart::STANDS_H : 0.0;
    }

    /** What it asks of the days, where getting warm takes so many minutes. */
    public function routine(int $warmUpMin): Routine
    {
        return new Routine(
            $this->practised(),
            $this->school->usualH,
            $this->standsH(),
            $this->soakH(),
            $this->coldWithinH(),
            $warmUpMin,
            ! $this->sets(),
        );
    }

    /** The same wish by another method and school. */
    public function by(Method $method, Variant $school): self
    {
        return $this->like([
            'method' => $method,
            'school' => $school,
            ...$method->heated ? ['shakeEveryH' => null] : [],
            // A jar that the other method is not done in is no wish of this.
            ...$this->jar !== null && ! in_array($this->jar->kind, $method->wants->vessels, true) ? ['jar' => null, 'jars' => null] : [],
            ...$method->has(Method::IN_PAN) ? ['byJar' => null] : [],
        ]);
    }

    /** The same wish with a leaner ratio, as Remedies::leaner takes it, to see whether it covers. */
    public function leaner(Ratio $ratio): self
    {
        return $this->like([
            'ratio' => $ratio,
            'seekingCover' => true,
            ...$this->herb !== null && $this->oil !== null ? ['oil' => null] : [],
            ...$this->herb !== null && $this->jar !== null ? ['jar' => null, 'jars' => null] : [],
        ]);
    }

    /** The same wish in another oil. */
    public function inOil(Blend $blend): self
    {
        return $this->like(['blend' => $blend]);
    }

    /** How many of the ratio's grams each gram as it lies counts for. */
    public function perGramAsItLies(string $convention = Ratio::WEIGHT_TO_VOLUME): float
    {
        return $this->basis === self::DRY && $convention !== Ratio::VOLUME_TO_VOLUME ? $this->mix->dryPerG : 1.0;
    }

    /** @param  array<string, mixed>  $other */
    private function like(array $other): self
    {
        /** @phpstan-ignore argument.type (the properties are the constructor's own) */
        return new self(...array_values([...get_object_vars($this), ...$other]));
    }
}
