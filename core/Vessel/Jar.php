<?php

declare(strict_types=1);

namespace Kettle\Vessel;

/**
 * A jar, a bowl or a pan, reckoned as the cylinder of its brim capacity (mL) and inner height (mm); where it has marks, as a
 * cylinder between each two of them.
 */
final readonly class Jar
{
    public const JAR = 'jar';

    public const BOWL = 'bowl';

    public const PAN = 'pan';

    public const KINDS = [self::JAR, self::BOWL, self::PAN];

    /** @var non-empty-list<array{ml: float, mm: float, area: float}> up to each mark and the brim; the cross-section below it, mm² */
    private array $steps;

    private function __construct(
        public string $id,
        public string $called,
        public float $brimMl,
        public float $heightMm,
        public string $kind,
        public Marks $marks,
    ) {
        $steps = [];
        $before = ['ml' => 0.0, 'mm' => 0.0];
        foreach ([...$marks->marks, ['ml' => $brimMl, 'mm' => $heightMm]] as $mark) {
            $steps[] = $mark + ['area' => (($mark['ml'] - $before['ml']) * 1000) / ($mark['mm'] - $before['mm'])];
            $before = $mark;
        }
        $this->steps = $steps;
    }

    /**
     * @param  string  $kind of KINDS
     *
     * @throws JarException when the measures are not those of a jar
     */
    public static function measured(
        string $id,
        string $called,
        float $brimMl,
        float $heightMm,
        string $kind = self::JAR,
        ?Marks $marks = null,
    ): self {
        if ($brimMl < 20 || $brimMl > 20000) {
            throw JarException::brim($brimMl);
        }
        if ($heightMm < 20 || $heightMm > 600) {
            throw JarException::height($heightMm);
        }

        $marks ??= Marks::none();
        $marks->within($brimMl, $heightMm);

        return new self($id, $called, $brimMl, $heightMm, $kind, $marks);
    }

    /** Cross-section, mm², in the middle. 1 mL is 1000 mm³. */
    public function areaMm2(): float
    {
        return ($this->brimMl * 1000) / $this->heightMm;
    }

    /** Where it is widest. */
    public function diameterMm(): float
    {
        return 2 * sqrt(max(array_column($this->steps, 'area')) / M_PI);
    }

    /** How high a volume stands, mm. */
    public function heightOf(float $ml): float
    {
        $step = $this->stepTo('ml', $ml);

        return $step['mm'] - (($step['ml'] - $ml) * 1000) / $step['area'];
    }

    /** What the jar holds up to a height, mL. */
    public function volumeTo(float $mm): float
    {
        $step = $this->stepTo('mm', $mm);

        return $step['ml'] - (($step['mm'] - $mm) * $step['area']) / 1000;
    }

    /**
     * The first cylinder that reaches so far; over the brim the last goes on.
     *
     * @param  'ml'|'mm'  $by
     * @return array{ml: float, mm: float, area: float}
     */
    private function stepTo(string $by, float $value): array
    {
        foreach ($this->steps as $step) {
            if ($value <= $step[$by]) {
                break;
            }
        }

        return $step;
    }
}
