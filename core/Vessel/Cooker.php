<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Reason\Said;

/** The inside of a slow cooker, a stove pot or an incubator: round, oval or square, in mm. */
final readonly class Cooker
{
    public const SHAPES = ['round', 'oval', 'square'];

    private function __construct(
        public string $id,
        public string $called,
        public string $shape,
        public float $lengthMm,
        public float $widthMm,
        public float $heightMm,
    ) {}

    /** @throws CookerException when the measures are not those of anything that stands in a kitchen */
    public static function measured(string $id, string $called, string $shape, float $lengthMm, float $widthMm, float $heightMm): self
    {
        if (! in_array($shape, self::SHAPES, true)) {
            throw CookerException::shape();
        }
        foreach (['length' => $lengthMm, 'width' => $widthMm, 'height' => $heightMm] as $field => $mm) {
            if (! is_finite($mm) || $mm < 60 || $mm > 600) {
                throw CookerException::measure($field, $mm);
            }
        }
        if ($shape === 'round' && abs($lengthMm - $widthMm) > 0.5) {
            throw CookerException::round();
        }

        return new self($id, $called, $shape, $lengthMm, $widthMm, $heightMm);
    }

    /** A setting as it is said of what stands on it: "on Warm", and just "on" where a thing has but that. */
    public static function on(string $setting): Said
    {
        return $setting === 'on' ? Said::of('cooker.on') : Said::of('cooker.on-setting', ['setting' => $setting]);
    }

    /** Its floor, and its water's surface with nothing in it, m2. */
    public function areaM2(): float
    {
        return (($this->lengthMm * $this->widthMm) / 1e6) * ($this->shape === 'square' ? 1.0 : M_PI / 4);
    }

    public function brimMl(): float
    {
        return $this->areaM2() * $this->heightMm * 1000;
    }

    /**
     * How far a circle at a place reaches out of the wall, and which way is back in, mm. Zero inside.
     *
     * @return array{float, float, float} by how much, and the direction inward (a unit vector)
     */
    public function outside(float $x, float $y, float $radius): array
    {
        $a = $this->lengthMm / 2;
        $b = $this->widthMm / 2;
        if ($this->shape === 'square') {
            $over = [abs($x) + $radius - $a, abs($y) + $radius - $b];

            return max($over) <= 0
                ? [0.0, 0.0, 0.0]
                : ($over[0] > $over[1]
                    ? [$over[0], $x > 0 ? -1.0 : 1.0, 0.0]
                    : [$over[1], 0.0, $y > 0 ? -1.0 : 1.0]);
        }
        if ($this->shape === 'round') {
            $far = hypot($x, $y);

            return $far + $radius <= $a ? [0.0, 0.0, 0.0] : [$far + $radius - $a, -$x / max($far, 1e-9), -$y / max($far, 1e-9)];
        }
        // Of an oval, the wall is asked at points round the circle.
        $worst = [0.0, 0.0, 0.0];
        for ($i = 0; $i < 24; $i++) {
            $px = $x + $radius * cos(($i * M_PI) / 12);
            $py = $y + $radius * sin(($i * M_PI) / 12);
            $level = ($px / $a) ** 2 + ($py / $b) ** 2;
            if ($level > 1) {
                $gx = (2 * $px) / $a ** 2;
                $gy = (2 * $py) / $b ** 2;
                $slope = hypot($gx, $gy);
                // The distance to the wall, to the first order.
                $over = ($level - 1) / $slope;
                $worst = $over > $worst[0] ? [$over, -$gx / $slope, -$gy / $slope] : $worst;
            }
        }

        return $worst;
    }
}
