<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Vessel\Jar;

/** What a batch stands in, and how full. Lengths in mm, inner. */
final readonly class PlannedJar
{
    /** @param  'bowl'|'jar'|'pan'  $kind */
    public function __construct(
        public string $called,
        public string $kind,
        public int $count,
        public float $brimMl,
        public float $heightMm,
        public float $diameterMm,
        public float $bedMm,
        public float $levelMm,
    ) {}

    public static function of(Stored $jar): self
    {
        return new self(
            $jar->text('called', 'jar'),
            $jar->oneOf('kind', Jar::KINDS, Jar::JAR),
            max(1, $jar->count('count', 1)),
            $jar->number('brim_ml'),
            $jar->number('height_mm'),
            $jar->number('diameter_mm'),
            $jar->number('bed_mm'),
            $jar->number('level_mm'),
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

    /**
     * What it stands in once it is strained: no herb in it, and so much lower, by its marks where the house has measured
     * them. Strained out of a bowl or a pan it is in a jar: nobody wrote down which, so it is drawn in the smallest of the
     * house that holds it.
     *
     * @param  list<Jar>  $jars of the house, the smallest first
     */
    public function strained(float $ml, array $jars): self
    {
        $into = $this->is(Jar::JAR) ? null : self::smallest($ml, $jars);
        $shaped = $into ?? $this->measured($jars);
        [$brim, $height] = $into === null ? [$this->brimMl, $this->heightMm] : [$into->brimMl, $into->heightMm];
        $count = $into === null ? $this->count : 1;
        $each = $ml / $count;

        return new self(
            $into === null ? $this->called : 'a jar',
            $into === null ? $this->kind : Jar::JAR,
            $count,
            $brim,
            $height,
            $into === null ? $this->diameterMm : round($into->diameterMm(), 1),
            0.0,
            round($shaped?->heightOf($each) ?? ($brim > 0 ? ($each / $brim) * $height : 0.0), 1),
        );
    }

    /**
     * The jar of the house that it is: called so, and as large.
     *
     * @param  list<Jar>  $jars
     */
    private function measured(array $jars): ?Jar
    {
        foreach ($jars as $jar) {
            if ($jar->called === $this->called && abs($jar->brimMl - $this->brimMl) < 0.5 && abs($jar->heightMm - $this->heightMm) < 0.5) {
                return $jar;
            }
        }

        return null;
    }

    /** @param  list<Jar>  $jars */
    private static function smallest(float $ml, array $jars): ?Jar
    {
        foreach ($jars as $jar) {
            if ($jar->brimMl >= $ml) {
                return $jar;
            }
        }

        return $jars === [] ? null : $jars[count($jars) - 1];
    }
}
