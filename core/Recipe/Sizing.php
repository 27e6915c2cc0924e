<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Measure\Amount;
use Kettle\Measure\Ratio;
use Kettle\Vessel\Jar;

/** How much of a wish is to be made, in whichever of the ways the cook said it; null where it was not. */
final readonly class Sizing
{
    /** The ratio's grams are of herb as if it were shelf-dry. */
    public const DRY = 'dry';

    /** The ratio's grams are of herb as it lies. */
    public const AS_IT_LIES = 'as-it-lies';

    /** Jars that one batch is filled into. */
    public const MOST_JARS = 24;

    /**
     * @param  ?Amount  $herb g of all herbs as they lie
     * @param  ?Amount  $oil mL
     * @param  string  $basis DRY or AS_IT_LIES
     * @param  ?int  $jars how many jars alike
     * @param  bool  $seekingCover whether it is tried only to see if its ratio covers the herb
     */
    public function __construct(
        public ?Amount $herb,
        public ?Amount $oil,
        public ?Finished $finished,
        public ?ByJar $byJar,
        public ?Ratio $ratio,
        public string $basis,
        public ?Jar $jar,
        public ?int $jars,
        public bool $seekingCover = false,
    ) {}

    /**
     * With only the vessels of some kinds, and by the jar or not: what another method is not done in is no wish of it.
     *
     * @param  list<string>  $kinds of Jar::KINDS
     * @param  bool  $toTheBrim whether a jar is filled to its brim in that method
     */
    public function forVessels(array $kinds, bool $byJar, bool $toTheBrim): self
    {
        $fits = $this->jar === null || in_array($this->jar->kind, $kinds, true);

        return new self(
            $this->herb,
            $this->oil,
            $this->finished,
            match (true) {
                ! $byJar => null,
                $this->byJar?->brim === true && ! $toTheBrim => $this->byJar->covered(),
                default => $this->byJar,
            },
            $this->ratio,
            $this->basis,
            $fits ? $this->jar : null,
            $fits ? $this->jars : null,
            $this->seekingCover,
        );
    }

    /** With a leaner ratio, to see whether it covers: what the herb said already of the oil and the jar gives way to it. */
    public function leaner(Ratio $ratio): self
    {
        return $this->trying($ratio, $this->basis);
    }

    /** The same ratio with its grams taken as the herb lies, tried to see if that covers the herb. */
    public function asItLies(Ratio $ratio): self
    {
        return $this->trying($ratio, self::AS_IT_LIES);
    }

    private function trying(Ratio $ratio, string $basis): self
    {
        $byHerb = $this->herb !== null;

        return new self(
            $this->herb,
            $byHerb ? null : $this->oil,
            $this->finished,
            $this->byJar,
            $ratio,
            $basis,
            $byHerb ? null : $this->jar,
            $byHerb && $this->jar !== null ? null : $this->jars,
            true,
        );
    }
}
