<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * A pot learned from one logged warm-up: its heat (W) and its loss (W/K), by least squares through the two
 * lumps, with the standard errors that the curvature at the best gives (as general fitting libraries do).
 */
final readonly class PotFit
{
    private const LEAST_READINGS = 6;

    private const LEAST_MINUTES = 20.0;

    private const MOST_HOURS = 24.0;

    private const LEAST_RISE = 8.0;

    /** A loss known worse than this, as a share of itself, is not known. */
    private const KNOWN = 0.35;

    /** Between which heat (W) and loss (W/K) are looked for: a little within what a pot may have. */
    private const BOUNDS = [[1.0, 4990.0], [0.06, 49.0]];

    private function __construct(
        public float $watts,
        public float $lossWPerK,
        public float $wattsError,
        public float $lossError,
        public float $rms,
    ) {}

    /**
     * @param  Pot  $pot all else about it as it stood: water, jars, room, height
     * @param  list<array{float, float}>  $readings seconds since it was switched on, and degrees C
     * @param  string  $of where the thermometer was: water or oil
     *
     * @throws WarmthException when the log cannot tell
     */
    public static function through(Pot $pot, array $readings, string $of = 'oil'): self
    {
        usort($readings, fn (array $a, array $b) => $a[0] <=> $b[0]);
        $count = count($readings);
        if ($count < self::LEAST_READINGS) {
            throw WarmthException::warmUp(sprintf('At least %d readings of a warm-up are wanted to learn a pot.', self::LEAST_READINGS));
        }
        $span = $readings[$count - 1][0] - $readings[0][0];
        foreach ($readings as [$s, $celsius]) {
            if (! is_finite($s) || ! is_finite($celsius) || $celsius < -30 || $celsius > 150) {
                throw WarmthException::reading(is_finite($celsius) ? $celsius : 0.0);
            }
        }
        if ($span > self::MOST_HOURS * 3600) {
            throw WarmthException::warmUp(sprintf('A warm-up is over within %d h: take the log of that alone.', (int) self::MOST_HOURS));
        }
        if ($span < self::LEAST_MINUTES * 60) {
            throw WarmthException::warmUp('The warm-up was too short: log at least twenty minutes, better until it hardly rises.');
        }
        $temperatures = array_column($readings, 1);
        if (max($temperatures) - $readings[0][1] < self::LEAST_RISE) {
            throw WarmthException::warmUp('It hardly warmed. Log from cold, with the pot switched on.');
        }
        $start = $readings[0][1];
        $began = $readings[0][0];
        $model = function (float $watts, float $loss) use ($pot, $readings, $span, $start, $began, $of): array {
            $run = PotRun::of($pot->with(['watts' => $watts, 'loss_w_per_k' => $loss]), $span / 3600 + 0.02, $start);

            return array_map(fn (array $reading) => $run->at($reading[0] - $began, $of), $readings);
        };
        // Begun from the mean rise, which is all heat and no loss.
        $capacity = $pot->waterKg * Pot::WATER + $pot->vesselJPerK + $pot->jarsJPerK;
        $x = [log(max(15.0, min(3000.0, (1.3 * $capacity * (max($temperatures) - $start)) / $span))), log(1.5)];
        $damping = 1e-2;
        [$error, $residuals] = self::residuals($model, $x, $temperatures);
        $jacobian = [];
        for ($round = 0; $round < 40; $round++) {
            $jacobian = self::slopes($model, $x);
            [$a, $b, $c, $g, $h] = self::normal($jacobian, $residuals);
            $moved = false;
            for ($try = 0; $try < 12; $try++) {
                [$aa, $cc] = [$a * (1 + $damping), $c * (1 + $damping)];
                $determinant = $aa * $cc - $b * $b;
                if ($determinant <= 0) {
                    $damping *= 10;

                    continue;
                }
                // What lies at its bound and is drawn past it stays there, and the other goes alone: else they creep.
                $step = match (true) {
                    self::held($x[0], $g, 0) && self::held($x[1], $h, 1) => [0.0, 0.0],
                    self::held($x[0], $g, 0) => [0.0, $h / $cc],
                    self::held($x[1], $h, 1) => [$g / $aa, 0.0],
                    default => [($cc * $g - $b * $h) / $determinant, ($aa * $h - $b * $g) / $determinant],
                };
                $next = [self::within($x[0] + $step[0], 0), self::within($x[1] + $step[1], 1)];
                [$nextError, $nextResiduals] = self::residuals($model, $next, $temperatures);
                if ($nextError <= $error) {
                    $moved = $error - $nextError > 1e-12 * $error && max(abs($step[0]), abs($step[1])) > 1e-9;
                    [$x, $error, $residuals, $damping] = [$next, $nextError, $nextResiduals, $damping / 5];
                    break;
                }
                $damping *= 4;
            }
            if (! $moved) {
                break;
            }
        }
        [$a, $b, $c] = self::normal(self::slopes($model, $x), $residuals);
        $determinant = $a * $c - $b * $b;
        $variance = $error / max(1, $count - 2);
        [$watts, $loss] = [exp($x[0]), exp($x[1])];
        $lossError = $determinant > 0 ? sqrt(($variance * $a) / $determinant) : INF;
        if ($lossError > self::KNOWN || $loss < 0.07 || $loss > 48) {
            throw WarmthException::warmUp(
                'The log cannot tell the heat from the loss yet: go on until the warmth hardly rises, and keep the jars in.',
            );
        }

        return new self(
            $watts,
            $loss,
            $watts * ($determinant > 0 ? sqrt(($variance * $c) / $determinant) : INF),
            $loss * $lossError,
            sqrt($error / $count),
        );
    }

    /** Whether the logarithm of heat (0) or loss (1) lies at a bound that the descent would take it past. */
    private static function held(float $x, float $descent, int $of): bool
    {
        return ($descent < 0 && $x <= log(self::BOUNDS[$of][0])) || ($descent > 0 && $x >= log(self::BOUNDS[$of][1]));
    }

    private static function within(float $x, int $of): float
    {
        return max(log(self::BOUNDS[$of][0]), min(log(self::BOUNDS[$of][1]), $x));
    }

    /**
     * @param  \Closure(float, float): list<float>  $model
     * @param  array{float, float}  $x
     * @param  list<float>  $seen
     * @return array{float, list<float>}
     */
    private static function residuals(\Closure $model, array $x, array $seen): array
    {
        $residuals = array_map(fn (float $seen, float $said) => $seen - $said, $seen, $model(exp($x[0]), exp($x[1])));

        return [array_sum(array_map(fn (float $r) => $r * $r, $residuals)), $residuals];
    }

    /**
     * @param  \Closure(float, float): list<float>  $model
     * @param  array{float, float}  $x
     * @return list<array{float, float}> by the logarithm of heat and of loss
     */
    private static function slopes(\Closure $model, array $x): array
    {
        $h = 1e-4;
        $up = $model(exp($x[0] + $h), exp($x[1]));
        $down = $model(exp($x[0] - $h), exp($x[1]));
        $more = $model(exp($x[0]), exp($x[1] + $h));
        $less = $model(exp($x[0]), exp($x[1] - $h));

        return array_map(
            fn (float $u, float $d, float $m, float $l) => [($u - $d) / (2 * $h), ($m - $l) / (2 * $h)],
            $up,
            $down,
            $more,
            $less,
        );
    }

    /**
     * @param  list<array{float, float}>  $jacobian
     * @param  list<float>  $residuals
     * @return array{float, float, float, float, float} the normal matrix (a b; b c) and its right side (g, h)
     */
    private static function normal(array $jacobian, array $residuals): array
    {
        $a = $b = $c = $g = $h = 0.0;
        foreach ($jacobian as $i => [$p, $q]) {
            $a += $p * $p;
            $b += $p * $q;
            $c += $q * $q;
            $g += $p * $residuals[$i];
            $h += $q * $residuals[$i];
        }

        return [$a, $b, $c, $g, $h];
    }
}
