<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * How near its end an infusion is: y = y_max (1 - exp(-k t)) by least squares through what was seen of its
 * colour or scent, and what is still to come, with its uncertainty.
 *
 * For each k the best y_max has a closed form, so only k is searched; the standard errors come from the
 * curvature at the best (the Gauss-Newton covariance, as general fitting libraries give it).
 */
final readonly class Approach
{
    public const LEAST_LOOKS = 4;

    /** An error over so much of the figure says that the figure is not known. */
    private const KNOWN = 0.5;

    private function __construct(
        public float $max,
        public float $rate,
        public float $maxError,
        public float $rateError,
        public float $last,
        public float $lastAt,
    ) {}

    /**
     * @param  list<array{float, float}>  $looks time since the start, above zero, and what was seen
     *
     * @throws WarmthException when there are too few, or nothing rises
     */
    public static function through(array $looks): self
    {
        if (count($looks) < self::LEAST_LOOKS || count(array_unique(array_column($looks, 0))) < self::LEAST_LOOKS) {
            throw WarmthException::tooFewLooks(self::LEAST_LOOKS);
        }
        foreach ($looks as [$t, $y]) {
            if (! ($t >= 0 && $t <= 1e6 && abs($y) <= 1e6)) {
                throw WarmthException::look();
            }
        }
        usort($looks, fn (array $a, array $b) => $a[0] <=> $b[0]);
        $span = $looks[count($looks) - 1][0];
        if ($span <= 0 || array_sum(array_column($looks, 1)) <= 0) {
            throw WarmthException::noRise();
        }
        // Rates from a curve that is hardly bent to one that is done at once, in steps and then by golden section.
        $least = INF;
        $best = 0.0;
        for ($i = 0; $i <= 120; $i++) {
            $log = log(0.02 / $span) + ($i / 120) * log(5000.0);
            $error = self::squares($looks, exp($log));
            [$least, $best] = $error < $least ? [$error, $log] : [$least, $best];
        }
        $width = log(5000.0) / 120;
        [$a, $b] = [$best - $width, $best + $width];
        $golden = (sqrt(5) - 1) / 2;
        while ($b - $a > 1e-12) {
            $c = $b - $golden * ($b - $a);
            $d = $a + $golden * ($b - $a);
            self::squares($looks, exp($c)) < self::squares($looks, exp($d)) ? ($b = $d) : ($a = $c);
            if ($b - $a < 1e-10) {
                break;
            }
        }
        $rate = exp(($a + $b) / 2);
        $max = self::bestMax($looks, $rate);
        [$maxError, $rateError] = self::errors($looks, $max, $rate);
        // An end or a rate that is known to half of itself and no better is not known; nor is one of looks that fall.
        if (
            ! is_finite($maxError) ||
            ! is_finite($rateError) ||
            $maxError > self::KNOWN * abs($max) ||
            $rateError > self::KNOWN * $rate ||
            self::slope($looks) <= 0
        ) {
            throw WarmthException::noEnd();
        }
        $last = $looks[count($looks) - 1];

        return new self($max, $rate, $maxError, $rateError, $max * (1 - exp(-$rate * $last[0])), $last[0]);
    }

    /** Share of the end that is there by a time, 0 to 1. */
    public function share(float $time): float
    {
        return 1 - exp(-$this->rate * $time);
    }

    /** When so large a share is there. */
    public function when(float $share): float
    {
        return -log(1 - $share) / $this->rate;
    }

    /** @return array{float, float} share still to come at the last look, and its standard error */
    public function toCome(): array
    {
        $left = exp(-$this->rate * $this->lastAt);

        return [$left, $left * $this->lastAt * $this->rateError];
    }

    /**
     * Of a straight line through the looks: whether they rise at all.
     *
     * @param  list<array{float, float}>  $looks
     */
    private static function slope(array $looks): float
    {
        $t = array_sum(array_column($looks, 0)) / count($looks);
        $y = array_sum(array_column($looks, 1)) / count($looks);

        return array_sum(array_map(fn (array $look) => ($look[0] - $t) * ($look[1] - $y), $looks));
    }

    /** @param  list<array{float, float}>  $looks */
    private static function bestMax(array $looks, float $rate): float
    {
        $top = $bottom = 0.0;
        foreach ($looks as [$t, $y]) {
            $f = 1 - exp(-$rate * $t);
            $top += $f * $y;
            $bottom += $f * $f;
        }

        return $bottom > 0 ? $top / $bottom : 0.0;
    }

    /** @param  list<array{float, float}>  $looks */
    private static function squares(array $looks, float $rate): float
    {
        $max = self::bestMax($looks, $rate);
        $sum = 0.0;
        foreach ($looks as [$t, $y]) {
            $sum += ($y - $max * (1 - exp(-$rate * $t))) ** 2;
        }

        return $sum;
    }

    /**
     * @param  list<array{float, float}>  $looks
     * @return array{float, float} standard errors of the end and of the rate
     */
    private static function errors(array $looks, float $max, float $rate): array
    {
        $aa = $ab = $bb = 0.0;
        foreach ($looks as [$t, $y]) {
            $da = 1 - exp(-$rate * $t);
            $db = $max * $t * exp(-$rate * $t);
            $aa += $da * $da;
            $ab += $da * $db;
            $bb += $db * $db;
        }
        $determinant = $aa * $bb - $ab * $ab;
        $variance = self::squares($looks, $rate) / max(1, count($looks) - 2);

        return $determinant <= 0 ? [INF, INF] : [sqrt(($variance * $bb) / $determinant), sqrt(($variance * $aa) / $determinant)];
    }
}
