<?php

namespace App\Actions\Looks;

/** A picture made small: upright, at most so wide, and written anew, so that nothing of its metadata is kept. */
final readonly class Picture
{
    /** The longer side that is kept, pixels: enough to take a colour from, and enough to read a written page by. */
    public const COLOURS = 900;

    public const LEGIBLE = 1400;

    private const QUALITY = 82;

    /** The most that a page is kept with, bytes: what the house's file takes. */
    private const MOST = 900_000;

    /** Half of the patch's side a colour is taken from, as a share of the picture's width. */
    private const PATCH = 0.012;

    private function __construct(private \GdImage $image) {}

    /**
     * @param  int  $turned EXIF orientation, 1 to 8
     * @param  int  $side pixels that its longer side has at the most
     */
    public static function of(\GdImage $image, int $turned, int $side = self::COLOURS): self
    {
        $wide = imagesx($image);
        $high = imagesy($image);
        $scale = min(1.0, $side / max($wide, $high));
        $small = imagecreatetruecolor(max(1, (int) round($wide * $scale)), max(1, (int) round($high * $scale)));
        assert($small !== false);
        // What is see-through stands on white.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), $wide, $high);
        $angle = [3 => 180, 4 => 180, 5 => 270, 6 => 270, 7 => 90, 8 => 90][$turned] ?? 0;
        if ($angle !== 0) {
            $turnedRound = imagerotate($small, $angle, 0);
            $small = $turnedRound === false ? $small : $turnedRound;
        }
        if (in_array($turned, [2, 4, 5, 7], true)) {
            imageflip($small, IMG_FLIP_HORIZONTAL);
        }

        return new self($small);
    }

    /**
     * The middling colour of a patch: the median of each channel, which a glint does not move.
     *
     * @param  float  $x share of the width, 0 to 1
     * @param  float  $y share of the height
     * @return array{float, float, float} 0 to 255
     */
    public function patch(float $x, float $y): array
    {
        $wide = imagesx($this->image);
        $high = imagesy($this->image);
        $half = max(2, (int) round(self::PATCH * $wide));
        $channels = [[], [], []];
        for ($i = -$half; $i <= $half; $i++) {
            for ($j = -$half; $j <= $half; $j++) {
                $rgb = (int) imagecolorat(
                    $this->image,
                    max(0, min($wide - 1, (int) round($x * ($wide - 1)) + $i)),
                    max(0, min($high - 1, (int) round($y * ($high - 1)) + $j)),
                );
                $channels[0][] = ($rgb >> 16) & 255;
                $channels[1][] = ($rgb >> 8) & 255;
                $channels[2][] = $rgb & 255;
            }
        }
        $median = function (array $values): float {
            sort($values);
            $middle = $values[intdiv(count($values), 2)];

            return is_int($middle) ? (float) $middle : 0.0;
        };

        return [$median($channels[0]), $median($channels[1]), $median($channels[2])];
    }

    public function jpeg(): string
    {
        return $this->written(self::QUALITY);
    }

    /** As plain as it may be kept: a page full of small writing is written again, coarser, where it would be too large. */
    public function page(): string
    {
        foreach ([self::QUALITY, 65, 50, 35] as $quality) {
            $jpeg = $this->written($quality);
            if (strlen($jpeg) <= self::MOST) {
                return $jpeg;
            }
        }

        return $this->written(20);
    }

    private function written(int $quality): string
    {
        ob_start();
        imagejpeg($this->image, null, $quality);

        return (string) ob_get_clean();
    }
}
