<?php

/* Times as a bench tells them. */

/** @param  list<float>  $times */
function quantile(array $times, float $share): float
{
    sort($times);

    return $times[(int) min(count($times) - 1, floor(count($times) * $share))];
}

/**
 * @param  list<float>  $times
 * @return array{median_ms: float, p95_ms: float, rounds: int}
 */
function summary(array $times): array
{
    return ['median_ms' => round(quantile($times, 0.5), 3), 'p95_ms' => round(quantile($times, 0.95), 3), 'rounds' => count($times)];
}
