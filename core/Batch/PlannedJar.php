<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Vessel\Jar;

/** What a batch stands in, and how full. Lengths in mm, inner. */
final readonly class PlannedJar
{
    /** @param  string  $kind of Jar::KINDS */
    public function __construct(
        public string $called,
        public string $kind,
        public int $count,
        public float $brimMl,
        public float $heightMm,
        public float $diameterMm,
        public float $bedMm,
        public float $levelMm,
    ) {
    }

    public static function of(Stored $jar): self
    {
        return new self(
            $jar->text('called', 'jar'), $jar->text('kind', Jar::JAR), max(1, $jar->count('count', 1)),
            $jar->number('brim_ml'), $jar->number('height_mm'), $jar->number('diameter_mm'), $jar->number('bed_mm'), $jar->number('level_mm'),
        );
    }

    public function is(string $kind): bool
    {
        return $this->kind === $kind;
    }

    /** "2 × pint jar" */
    public function name(): string
    {
        return $this->count > 1 ? "{$this->count} × {$this->called}" : $this->called;
    }

    /** What was strained stands in this one of the house's, empty of herb. */
    public function strainedInto(string $called, float $brimMl, float $heightMm, float $diameterMm): self
    {
        return new self($called, Jar::JAR, 1, $brimMl, $heightMm, $diameterMm, $this->bedMm, $this->levelMm);
    }

    /** Strained, mL: no herb in it, and so much lower. */
    public function holding(float $ml): self
    {
        return new self(
            $this->called, $this->kind, $this->count, $this->brimMl, $this->heightMm, $this->diameterMm, 0.0,
            $this->brimMl > 0 ? round($ml / $this->count / $this->brimMl * $this->heightMm, 1) : 0.0,
        );
    }
}
