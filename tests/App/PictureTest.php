<?php

use App\Actions\Looks\Picture;
use App\Actions\Looks\SmallPhoto;
use Kettle\Warmth\WarmthException;

/** Four fields of four colours: red, green, blue and white, in reading order. */
function fourFields(int $wide = 80, int $high = 40): GdImage
{
    $image = imagecreatetruecolor($wide, $high);
    foreach ([[255, 0, 0], [0, 255, 0], [0, 0, 255], [255, 255, 255]] as $i => $rgb) {
        imagefilledrectangle(
            $image,
            ($i % 2) * intdiv($wide, 2),
            intdiv($i, 2) * intdiv($high, 2),
            (($i % 2) + 1) * intdiv($wide, 2) - 1,
            (intdiv($i, 2) + 1) * intdiv($high, 2) - 1,
            imagecolorallocate($image, ...$rgb),
        );
    }

    return $image;
}

/** What stands in each quarter, in reading order: "rgbw". */
function quarters(Picture $picture): string
{
    $letter = fn (array $rgb) => ['255,0,0' => 'r', '0,255,0' => 'g', '0,0,255' => 'b', '255,255,255' => 'w'][
        implode(',', array_map(intval(...), $rgb))
    ] ?? '?';

    return $letter($picture->patch(0.25, 0.25)).
        $letter($picture->patch(0.75, 0.25)).
        $letter($picture->patch(0.25, 0.75)).
        $letter($picture->patch(0.75, 0.75));
}

// EXIF 2.3, tag 0x0112: where the picture's first row and column are to be seen. Written out by hand.
it('stands a picture upright however the camera was held', function (int $turned, string $seen) {
    expect(quarters(Picture::of(fourFields(), $turned)))->toBe($seen);
})->with([
    'as it is' => [1, 'rgbw'],
    'mirrored' => [2, 'grwb'],
    'upside down' => [3, 'wbgr'],
    'mirrored, upside down' => [4, 'bwrg'],
    'mirrored, a quarter' => [5, 'rbgw'],
    'a quarter to the right' => [6, 'brwg'],
    'mirrored, a quarter the other way' => [7, 'wgbr'],
    'a quarter to the left' => [8, 'gwrb'],
    'nonsense is taken as it is' => [42, 'rgbw'],
]);

it('makes it small and no smaller, and takes a glint for none of the colour', function () {
    $size = fn (Picture $picture) => array_slice(getimagesizefromstring($picture->jpeg()), 0, 2);
    expect($size(Picture::of(fourFields(1800, 900), 1)))
        ->toBe([900, 450])
        ->and($size(Picture::of(fourFields(1800, 900), 6)))
        ->toBe([450, 900])
        ->and($size(Picture::of(fourFields(80, 40), 1)))
        ->toBe([80, 40]);
    $image = imagecreatetruecolor(300, 300);
    imagefill($image, 0, 0, imagecolorallocate($image, 200, 150, 60));
    // A third of the patch is a reflection of the window.
    imagefilledrectangle($image, 150, 140, 152, 160, imagecolorallocate($image, 255, 255, 255));
    expect(Picture::of($image, 1)->patch(0.5, 0.5))->toBe([200.0, 150.0, 60.0]);
    // At the very corner there is less of it, and it is read all the same.
    expect(Picture::of($image, 1)->patch(0, 0))
        ->toBe([200.0, 150.0, 60.0])
        ->and(Picture::of($image, 1)->patch(1, 1))
        ->toBe([200.0, 150.0, 60.0]);
});

it('stands what is see-through on white', function () {
    $image = imagecreatetruecolor(60, 60);
    imagealphablending($image, false);
    imagefill($image, 0, 0, imagecolorallocatealpha($image, 0, 0, 0, 127));
    expect(Picture::of($image, 1)->patch(0.5, 0.5))->toBe([255.0, 255.0, 255.0]);
});

it('reads or refuses any bytes, seeded', function () {
    mt_srand(6);
    ob_start();
    imagejpeg(fourFields(64, 64));
    $jpeg = (string) ob_get_clean();
    $refused = 0;
    for ($i = 0; $i < 150; $i++) {
        $bytes = $jpeg;
        for ($n = mt_rand(1, 12); $n > 0; $n--) {
            $bytes[mt_rand(0, strlen($bytes) - 1)] = chr(mt_rand(0, 255));
        }
        try {
            expect(
                strlen((new SmallPhoto())->of(base64_encode(mt_rand(0, 3) === 0 ? substr($bytes, 0, mt_rand(0, 400)) : $bytes))->jpeg()),
            )->toBeGreaterThan(100);
        } catch (WarmthException $no) {
            $refused++;
            expect($no->field)->toBe('photo')->and($no->sentence)->toMatch('/[.]$/');
        }
    }
    expect($refused)->toBeGreaterThan(10);
});
