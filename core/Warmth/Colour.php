<?php

declare(strict_types=1);

namespace Kettle\Warmth;

/**
 * A colour as the eye tells it, CIELAB under D65, from an sRGB patch; and how far two lie apart.
 *
 * sRGB: IEC 61966-2-1. CIELAB: CIE 15. Difference: CIEDE2000, after Sharma, Wu and Dalal 2005 (Color
 * Research and Application 30).
 */
final readonly class Colour
{
    /** White of D65, 2 degree observer, Y = 1: ASTM E308, from memory. */
    private const WHITE = [0.95047, 1.0, 1.08883];

    private function __construct(public float $l, public float $a, public float $b) {}

    public static function lab(float $l, float $a, float $b): self
    {
        return new self($l, $a, $b);
    }

    /**
     * @param  array{float, float, float}  $rgb 0 to 255
     * @param  array{float, float, float}|null  $card what a white card beside it came out as; null when none was
     *
     * @throws WarmthException
     */
    public static function sRgb(array $rgb, ?array $card = null): self
    {
        $linear = self::linear($rgb, 'colour');
        if ($card !== null) {
            $white = self::linear($card, 'card');
            if (min($white) < 0.2 || min($card) >= 254.5) {
                throw WarmthException::darkCard();
            }
            // Each channel so that the card is white: the light of the kitchen taken out.
            $linear = array_map(fn (float $each, float $of) => min(1.0, $each / $of), $linear, $white);
        }
        [$r, $g, $b] = $linear;
        $xyz = [
            0.4124564 * $r + 0.3575761 * $g + 0.1804375 * $b,
            0.2126729 * $r + 0.7151522 * $g + 0.072175 * $b,
            0.0193339 * $r + 0.119192 * $g + 0.9503041 * $b,
        ];
        [$x, $y, $z] = array_map(
            function (float $value, float $white): float {
                $t = $value / $white;

                return $t > (6 / 29) ** 3 ? $t ** (1 / 3) : $t / (3 * (6 / 29) ** 2) + 4 / 29;
            },
            $xyz,
            self::WHITE,
        );

        return new self(116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z));
    }

    /** CIEDE2000, with all three parametric factors 1. */
    public function difference(self $other): float
    {
        $mean = (hypot($this->a, $this->b) + hypot($other->a, $other->b)) / 2;
        $g = 0.5 * (1 - sqrt($mean ** 7 / ($mean ** 7 + 25.0 ** 7)));
        [$c1, $h1] = self::polar((1 + $g) * $this->a, $this->b);
        [$c2, $h2] = self::polar((1 + $g) * $other->a, $other->b);
        $dL = $other->l - $this->l;
        $dC = $c2 - $c1;
        $dh = self::turn($h1, $h2, $c1 * $c2);
        $dH = 2 * sqrt($c1 * $c2) * sin(deg2rad($dh / 2));
        $l = ($this->l + $other->l) / 2;
        $c = ($c1 + $c2) / 2;
        $h = self::middle($h1, $h2, $c1 * $c2);
        $t =
            1 -
            0.17 * cos(deg2rad($h - 30)) +
            0.24 * cos(deg2rad(2 * $h)) +
            0.32 * cos(deg2rad(3 * $h + 6)) -
            0.2 * cos(deg2rad(4 * $h - 63));
        $sL = 1 + (0.015 * ($l - 50) ** 2) / sqrt(20 + ($l - 50) ** 2);
        $sC = 1 + 0.045 * $c;
        $sH = 1 + 0.015 * $c * $t;
        $rT = -sin(deg2rad(60 * exp(-((($h - 275) / 25) ** 2)))) * 2 * sqrt($c ** 7 / ($c ** 7 + 25.0 ** 7));

        return sqrt(($dL / $sL) ** 2 + ($dC / $sC) ** 2 + ($dH / $sH) ** 2 + $rT * ($dC / $sC) * ($dH / $sH));
    }

    /**
     * @param  array<float>  $rgb
     * @return array{float, float, float}
     *
     * @throws WarmthException
     */
    private static function linear(array $rgb, string $field): array
    {
        $out = [];
        foreach ($rgb as $value) {
            if (! is_finite($value) || $value < 0 || $value > 255) {
                throw WarmthException::colour()->about($field);
            }
            $s = $value / 255;
            $out[] = $s <= 0.04045 ? $s / 12.92 : (($s + 0.055) / 1.055) ** 2.4;
        }

        return count($out) === 3 ? $out : throw WarmthException::colour()->about($field);
    }

    /** @return array{float, float} chroma, and hue in degrees from 0 to 360 */
    private static function polar(float $a, float $b): array
    {
        $hue = rad2deg(atan2($b, $a));

        return [hypot($a, $b), $a === 0.0 && $b === 0.0 ? 0.0 : ($hue < 0 ? $hue + 360 : $hue)];
    }

    private static function turn(float $from, float $to, float $chroma): float
    {
        $turn = $to - $from;

        return match (true) {
            $chroma === 0.0 => 0.0,
            $turn > 180 => $turn - 360,
            $turn < -180 => $turn + 360,
            default => $turn,
        };
    }

    private static function middle(float $a, float $b, float $chroma): float
    {
        return match (true) {
            $chroma === 0.0 => $a + $b,
            abs($a - $b) <= 180 => ($a + $b) / 2,
            $a + $b < 360 => ($a + $b + 360) / 2,
            default => ($a + $b - 360) / 2,
        };
    }
}
