<?php

namespace App\Actions\Looks;

use Kettle\Warmth\WarmthException;

/** Reads a picture as it is sent, in base64, with or without its data: address. */
final readonly class SmallPhoto
{
    /** Bytes, and pixels along a side, past which a picture is not opened. */
    private const BYTES = 6_000_000;

    private const SIDE = 9000;

    private const PIXELS = 16_000_000;

    /**
     * @param  int  $side pixels that its longer side has at the most
     *
     * @throws WarmthException
     */
    public function of(string $base64, int $side = Picture::COLOURS): Picture
    {
        $bytes = base64_decode((string) preg_replace('#^data:image/[a-z+]+;base64,#', '', $base64), true);
        if ($bytes === false || $bytes === '' || strlen($bytes) > self::BYTES) {
            throw self::no(
                $bytes !== false && strlen($bytes) > self::BYTES
                    ? 'That picture is over 6 MB. Send a smaller one.'
                    : 'That could not be read as a picture. Take a JPEG, PNG or WebP.',
            );
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw self::no('That could not be read as a picture. Take a JPEG, PNG or WebP.');
        }
        if ($size[0] < 16 || $size[1] < 16) {
            throw self::no('That picture is too small to see anything in.');
        }
        // Asked before it is opened: a small file can hold an enormous picture.
        if ($size[0] > self::SIDE || $size[1] > self::SIDE || $size[0] * $size[1] > self::PIXELS) {
            throw self::no('That picture is enormous. Send a smaller one.');
        }
        $image = @imagecreatefromstring($bytes);

        return $image === false
            ? throw self::no('That picture is damaged.')
            : Picture::of($image, $size[2] === IMAGETYPE_JPEG ? self::turned($bytes) : 1, $side);
    }

    /** How the camera was held: EXIF 2.3, tag 0x0112, read here since the rest is thrown away. 1 when it does not say. */
    private static function turned(string $bytes): int
    {
        $at = strpos(substr($bytes, 0, 65536), "Exif\0\0");
        if ($at === false) {
            return 1;
        }
        $tiff = substr($bytes, $at + 6, 65536);
        $little = str_starts_with($tiff, 'II');
        $read = function (string $as, int $offset, int $bytes) use ($tiff): int {
            $value = unpack($as, str_pad(substr($tiff, $offset, $bytes), $bytes, "\0"))[1] ?? 0;

            return is_int($value) ? $value : 0;
        };
        $short = fn (int $offset): int => $read($little ? 'v' : 'n', $offset, 2);
        $long = fn (int $offset): int => $read($little ? 'V' : 'N', $offset, 4);
        $ifd = $long(4);
        for ($i = 0, $count = min(64, $short($ifd)); $i < $count; $i++) {
            if ($short($ifd + 2 + $i * 12) === 0x0112) {
                $turn = $short($ifd + 2 + $i * 12 + 8);

                return $turn >= 1 && $turn <= 8 ? $turn : 1;
            }
        }

        return 1;
    }

    private static function no(string $says): WarmthException
    {
        return new WarmthException('unreadable', $says, 'photo');
    }
}
