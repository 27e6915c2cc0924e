<?php

declare(strict_types=1);

namespace Kettle\Vessel;

/** A jar, a bowl or a pan, reckoned as the cylinder of its brim capacity (mL) and inner height (mm). */
final readonly class Jar
{
    public const JAR = 'jar';

    public const BOWL = 'bowl';

    public const PAN = 'pan';

    public const KINDS = [self::JAR, self::BOWL, self::PAN];

    private function __construct(
        public string $id,
        public string $called,
        public float $brimMl,
        public float $heightMm,
        public string $kind = self::JAR,
    ) {}

    /**
     * @param  string  $kind of KINDS
     *
     * @throws JarException when the measures are not those of a jar
     */
    public static function measured(string $id, string $called, float $brimMl, float $heightMm, string $kind = self::JAR): self
    {
        if ($brimMl < 20 || $brimMl > 20000) {
            throw JarException::brim($brimMl);
        }
        if ($heightMm < 20 || $heightMm > 600) {
            throw JarException::height($heightMm);
        }

        return new self($id, $called, $brimMl, $heightMm, $kind);
    }

    /** Cross-section, mm². 1 mL is 1000 mm³. */
    public function areaMm2(): float
    {
        return ($this->brimMl * 1000) / $this->heightMm;
    }

    public function diameterMm(): float
    {
        return 2 * sqrt($this->areaMm2() / M_PI);
    }

    /** How high a volume stands, mm. */
    public function heightOf(float $ml): float
    {
        return ($ml * 1000) / $this->areaMm2();
    }

    /** What the jar holds up to a height, mL. */
    public function volumeTo(float $mm): float
    {
        return ($mm * $this->areaMm2()) / 1000;
    }
}
