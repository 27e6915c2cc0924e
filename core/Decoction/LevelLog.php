<?php

declare(strict_types=1);

namespace Kettle\Decoction;

/**
 * Marks of the level in a pot, by hours of flame: the rate by least squares, and when the water will be gone, each with the
 * range that holds nine times in ten.
 *
 * The straight line of ordinary least squares; the range of its slope, and of where it comes down to the end (Fieller's
 * theorem), by Student's t. Draper and Smith, Applied Regression Analysis, on inverse regression.
 */
final readonly class LevelLog
{
    /** Read off a stick, so much higher is no rise, mm. */
    private const STICK_MM = 2.0;

    /** Student's t, nine in ten, by degrees of freedom: the NIST/SEMATECH e-Handbook's table of 0.95. */
    private const T = [
        1 => 6.314,
        2.92,
        2.353,
        2.132,
        2.015,
        1.943,
        1.895,
        1.86,
        1.833,
        1.812,
        1.796,
        1.782,
        1.771,
        1.761,
        1.753,
        1.746,
        1.74,
        1.734,
        1.729,
        1.725,
        1.721,
        1.717,
        1.714,
        1.711,
        1.708,
        1.706,
        1.703,
        1.701,
        1.699,
        1.697,
    ];

    private const T_MANY = 1.645;

    /**
     * @param  float  $startMl where the line stands at no hours
     * @param  float  $mlPerH how much goes in an hour
     * @param  ?float  $se standard error of that; null of two marks, which say nothing of it
     */
    private function __construct(
        public int $marks,
        public float $startMl,
        public float $mlPerH,
        public ?float $se,
        public float $lastH,
        public float $lastMl,
        private float $meanH,
        private float $spreadH,
        private float $residual,
    ) {}

    /**
     * @param  list<array{h: float, ml: float}>  $marks hours of flame since the first, and what stands in the pot
     * @param  ?BoilingPot  $pot whose rim none is above
     *
     * @throws DecoctionException
     */
    public static function of(array $marks, ?BoilingPot $pot = null): self
    {
        $n = count($marks);
        if ($n < 2) {
            throw DecoctionException::fewMarks();
        }
        $slack = $pot?->mlAt(self::STICK_MM) ?? 0.0;
        $brim = $pot?->brimMl() ?? INF;
        $sumH = $sumMl = 0.0;
        foreach ($marks as $i => $mark) {
            if ($mark['ml'] > $brim + 1e-6) {
                throw DecoctionException::aboveRim($i);
            }
            if ($i > 0 && $mark['h'] < $marks[$i - 1]['h']) {
                throw DecoctionException::backInTime($i);
            }
            if ($i > 0 && $mark['ml'] > $marks[$i - 1]['ml'] + $slack + 1e-6) {
                throw DecoctionException::rises($i);
            }
            $sumH += $mark['h'];
            $sumMl += $mark['ml'];
        }
        [$meanH, $meanMl] = [$sumH / $n, $sumMl / $n];
        $sxx = $sxy = $syy = 0.0;
        foreach ($marks as $mark) {
            [$x, $y] = [$mark['h'] - $meanH, $mark['ml'] - $meanMl];
            $sxx += $x * $x;
            $sxy += $x * $y;
            $syy += $y * $y;
        }
        if ($sxx <= 1e-9) {
            throw DecoctionException::fewMarks();
        }
        $slope = $sxy / $sxx;
        if ($slope >= -1e-6) {
            throw DecoctionException::still();
        }
        $left = max(0.0, $syy - ($sxy * $sxy) / $sxx);
        $residual = $n > 2 ? sqrt($left / ($n - 2)) : 0.0;
        $last = $marks[$n - 1];

        return new self(
            $n,
            $meanMl - $slope * $meanH,
            -$slope,
            $n > 2 ? $residual / sqrt($sxx) : null,
            $last['h'],
            $last['ml'],
            $meanH,
            $sxx,
            $residual,
        );
    }

    /** @return array{low: ?float, value: float, high: ?float} mL an hour; no range of two marks */
    public function rate(): array
    {
        $half = $this->se === null ? null : $this->t() * $this->se;

        return [
            'low' => $half === null ? null : max(0.0, $this->mlPerH - $half),
            'value' => $this->mlPerH,
            'high' => $half === null ? null : $this->mlPerH + $half,
        ];
    }

    /** What stands in it by the line after so many hours of flame, mL. */
    public function at(float $hours): float
    {
        return $this->startMl - $this->mlPerH * $hours;
    }

    /**
     * Hours of flame, since the first mark, at which it comes down to so much.
     *
     * @return array{low: ?float, value: float, high: ?float} no range of two marks; no upper end where the marks do not bound it
     */
    public function end(float $endMl): array
    {
        $value = ($this->startMl - $endMl) / $this->mlPerH;
        if ($this->se === null) {
            return ['low' => null, 'value' => $value, 'high' => null];
        }
        // Fieller: g is how much of the slope is doubt.
        $t = $this->t();
        $g = (($t * $this->se) / $this->mlPerH) ** 2;
        if ($g >= 1) {
            return ['low' => null, 'value' => $value, 'high' => null];
        }
        $far = $value - $this->meanH;
        $middle = $this->meanH + $far / (1 - $g);
        $half = (($t * $this->residual) / $this->mlPerH / (1 - $g)) * sqrt(($far * $far) / $this->spreadH + (1 - $g) / $this->marks);

        return ['low' => $middle - $half, 'value' => $value, 'high' => $middle + $half];
    }

    private function t(): float
    {
        return self::T[$this->marks - 2] ?? self::T_MANY;
    }
}
