<?php

declare(strict_types=1);

namespace Kettle\Vessel;

/**
 * Jars standing in a cooker: circles in a circle, an oval or a square. From some beginnings, the same
 * each time, circles that overlap push each other apart and the wall pushes them in, until they lie free
 * or do not. So what is found stands; what is not found might, for a last hair's breadth, have stood.
 */
final class Packing
{
    /** Jars may press against each other and the wall by so much: nobody's jar is measured closer, mm. */
    private const SLACK = 0.35;

    private const ROUNDS = 400;

    /** After so many rounds, jars still pressed in by more than so many mm will not come free. */
    private const SEEN_AT = 80;

    private const HOPELESS = 4.0;

    private const BEGINNINGS = 7;

    /**
     * Where each stands, or null when no way was found.
     *
     * @param  list<float>  $diameters of the outside, mm
     * @return list<array{x: float, y: float, d: float}>|null in the order given; from the middle, mm
     */
    public static function place(Cooker $cooker, array $diameters): ?array
    {
        $count = count($diameters);
        $area = array_sum(array_map(fn (float $d) => (M_PI / 4) * $d * $d, $diameters));
        // So few circles never cover more of so small a floor: the densest known of up to 24 equal ones, 0.82 of it.
        if ($count > 1 && $area / 1e6 > $cooker->areaM2() * 0.85) {
            return null;
        }
        for ($start = 0; $start < ($count < 2 ? 1 : self::BEGINNINGS); $start++) {
            $placed = self::settle($cooker, $diameters, self::beginning($cooker, $count, $start));
            if ($placed !== null) {
                return $placed;
            }
        }

        return null;
    }

    /** How many of one size stand in it, up to a number. */
    public static function most(Cooker $cooker, float $diameter, int $upTo = 24): int
    {
        $most = 0;
        while ($most < $upTo && self::place($cooker, array_fill(0, $most + 1, $diameter)) !== null) {
            $most++;
        }

        return $most;
    }

    /**
     * Rings about the middle with one to three jars within, and scattered ones.
     *
     * @return list<array{float, float}>
     */
    private static function beginning(Cooker $cooker, int $count, int $start): array
    {
        $at = [];
        $inner = $count <= 1 ? 1 : min($start, max(0, $count - 2));
        for ($i = 0; $i < $count; $i++) {
            if ($start < 4) {
                $ring = $i < $inner ? [$inner, $inner === 1 ? 0.0 : 0.25, $i] : [max(1, $count - $inner), 0.7, $i - $inner];
                $turn = (2 * M_PI * $ring[2]) / $ring[0] + 0.1;
                [$x, $y] = [$ring[1] * cos($turn), $ring[1] * sin($turn)];
            } else {
                // A sunflower's seeds, begun at other turns.
                $far = sqrt(($i + 0.5) / $count) * 0.8;
                $turn = ($i + $start) * M_PI * (3 - sqrt(5));
                [$x, $y] = [$far * cos($turn), $far * sin($turn)];
            }
            $at[] = [($x * $cooker->lengthMm) / 2, ($y * $cooker->widthMm) / 2];
        }

        return $at;
    }

    /**
     * @param  list<float>  $diameters
     * @param  list<array{float, float}>  $at
     * @return list<array{x: float, y: float, d: float}>|null
     */
    private static function settle(Cooker $cooker, array $diameters, array $at): ?array
    {
        $count = count($diameters);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $worst = 0.0;
            for ($i = 0; $i < $count; $i++) {
                for ($j = $i + 1; $j < $count; $j++) {
                    $dx = $at[$j][0] - $at[$i][0];
                    $dy = $at[$j][1] - $at[$i][1];
                    $far = hypot($dx, $dy);
                    $over = ($diameters[$i] + $diameters[$j]) / 2 - $far;
                    if ($over > 0) {
                        $worst = max($worst, $over);
                        [$ux, $uy] = $far > 1e-6 ? [$dx / $far, $dy / $far] : [cos($i + $j), sin($i + $j)];
                        $push = $over * 0.52;
                        $at[$i] = [$at[$i][0] - $ux * $push, $at[$i][1] - $uy * $push];
                        $at[$j] = [$at[$j][0] + $ux * $push, $at[$j][1] + $uy * $push];
                    }
                }
            }
            for ($i = 0; $i < $count; $i++) {
                [$over, $ux, $uy] = $cooker->outside($at[$i][0], $at[$i][1], $diameters[$i] / 2);
                if ($over > 0) {
                    $worst = max($worst, $over);
                    $at[$i] = [$at[$i][0] + $ux * $over, $at[$i][1] + $uy * $over];
                }
            }
            if ($round === self::SEEN_AT && $worst > self::HOPELESS) {
                return null;
            }
            if ($worst <= self::SLACK) {
                return array_map(fn (array $p, float $d) => ['x' => $p[0], 'y' => $p[1], 'd' => $d], $at, $diameters);
            }
        }

        return null;
    }
}
