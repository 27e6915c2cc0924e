<?php

use Kettle\Vessel\Cooker;
use Kettle\Vessel\CookerException;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Colour;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\Sun;
use Kettle\Warmth\SunJar;

/** @return array{Cooker, list<array<string, mixed>>, string} */
function someBath(int $seed): array
{
    mt_srand($seed);
    $shape = Cooker::SHAPES[mt_rand(0, 2)];
    $length = mt_rand(180, 360);
    $jars = [];
    for ($n = mt_rand(1, 6); $n > 0; $n--) {
        $height = mt_rand(60, 200);
        $diameter = mt_rand(45, 100);
        $brim = ((M_PI / 4) * $diameter ** 2 * $height) / 1000;
        $jars[] = [
            'called' => 'jar',
            'brim_ml' => $brim,
            'height_mm' => (float) $height,
            'diameter_mm' => (float) $diameter,
            'level_mm' => ($height * mt_rand(30, 90)) / 100,
            'bed_mm' => 10.0,
            'contents_g' => ($brim * mt_rand(5, 95)) / 100,
        ];
    }

    return [
        Cooker::measured('c', 'it', $shape, $length, $shape === 'round' ? $length : mt_rand(150, $length), mt_rand(90, 200)),
        $jars,
        ['rim', 'quarter'][mt_rand(0, 1)],
    ];
}

it('floats no jar, floods none, and tells low before dry, in any pot', function () {
    $stood = 0;
    for ($seed = 1; $seed <= 150; $seed++) {
        [$cooker, $jars, $school] = someBath($seed);
        try {
            $bath = WaterBath::of($cooker, $jars, $school);
        } catch (CookerException) {
            continue;
        }
        $stood++;
        expect($bath->lowMm)
            ->toBeLessThan($bath->fullMm)
            ->toBeGreaterThan(0)
            ->and($bath->fullMm)
            ->toBeLessThanOrEqual($cooker->heightMm)
            ->and($bath->waterMl($bath->fullMm))
            ->toBeGreaterThan($bath->waterMl($bath->lowMm))
            ->and($bath->waterMl($cooker->heightMm))
            ->toBeLessThanOrEqual($cooker->brimMl())
            ->and($bath->openM2())
            ->toBeLessThan($cooker->areaM2());
        foreach ($bath->jars as $i => $jar) {
            // Archimedes, with the weight of what is in it and of the glass: it stays on the floor. Ten mm is the least water there is.
            $lift = (((0.988 * M_PI) / 4) * $jar['d'] ** 2 * min($bath->fullMm, $jar['height'])) / 1000;
            $weighs = WaterBath::glassG($jars[$i]['diameter_mm'], $jars[$i]['height_mm']) + $jars[$i]['contents_g'];
            $bath->fullMm > 10 && expect($lift)->toBeLessThanOrEqual($weighs + 1e-6);
            expect($bath->fullMm <= 10 || $bath->fullMm <= $jar['height'] - 25.39 || $school === 'quarter')->toBeTrue("seed {$seed}");
        }
        // Poured out and back in, it stands where it stood.
        foreach ([0.2, 0.6, 1.0] as $share) {
            expect($bath->heightOf($bath->waterMl($bath->fullMm * $share)))->toEqualWithDelta($bath->fullMm * $share, 0.01);
        }
    }
    expect($stood)->toBeGreaterThan(60);
});

it('keeps its heat: what comes in is stored, lost or gone with the steam, in any pot', function () {
    mt_srand(3);
    for ($i = 0; $i < 25; $i++) {
        $run = PotRun::of(
            Pot::of([
                'watts' => mt_rand(20, 900),
                'loss_w_per_k' => mt_rand(3, 40) / 10,
                'water_kg' => mt_rand(5, 60) / 10,
                'open_m2' => mt_rand(0, 60) / 1000,
                'jars_j_per_k' => mt_rand(0, 4000),
                'jars_w_per_k' => mt_rand(1, 80) / 10,
                'room_c' => mt_rand(5, 28),
                'height_m' => mt_rand(0, 2500),
                'humidity' => mt_rand(1, 9) / 10,
            ]),
            5,
        );
        $j = $run->joules;
        expect($j['stored'] + $j['lost'] + $j['steam'])->toEqualWithDelta($j['in'], 0.002 * max(1.0, $j['in']));
        foreach ($run->path as $point) {
            expect($point['water'])
                ->toBeLessThanOrEqual($run->pot->boilsAt() + 0.1)
                ->and($point['kg'])
                ->toBeGreaterThan(0)
                ->and($point['oil'])
                ->toBeLessThanOrEqual($run->pot->boilsAt() + 0.1);
        }
    }
});

it('settles a jar in steady light where what it takes in is what it loses', function () {
    // Out of doors at noon on the equator the beam stands still for an hour: the model must lie between the room and the
    // closed form T = T_air + W / (h A), and come near it.
    $jar = ['diameter_mm' => 74.0, 'level_mm' => 90.0, 'oil_kg' => 0.02, 'herb_kg' => 0.0, 'glass_kg' => 0.02];
    $day = [['day' => new DateTimeImmutable('2026-03-20T00:00Z'), 'cloud' => 0.0, 'low_c' => 20.0, 'high_c' => 20.0]];
    $path = SunJar::of(Sun::over(30, 0), $jar, null, false, 20.0)->through($day)[0]['path'];
    $sun = Sun::over(30, 0)->position(new DateTimeImmutable('2026-03-20T12:00Z'));
    $level = Sun::clearSky($sun['height']);
    $height = deg2rad($sun['height']);
    $area = (M_PI * 80 * 90) / 1e6;
    $watts = 0.6 * (((min(950.0, ($level * 0.85) / sin($height)) * 80 * 90) / 1e6) * cos($height) + $level * 0.15 * $area * 0.5);
    expect($path[12])
        ->toBeGreaterThan(20 + (0.9 * $watts) / (9.0 * $area))
        ->toBeLessThan(20 + (1.1 * $watts) / (9.0 * $area))
        ->and($path[3])
        ->toEqualWithDelta(20, 0.01);
});

it('takes any light out of a colour by the card that was in it', function () {
    // In linear light a lamp multiplies each channel; divided by the card it is gone. IEC 61966-2-1 both ways, by hand.
    $linear = fn (float $v): float => ($s = $v / 255) <= 0.04045 ? $s / 12.92 : (($s + 0.055) / 1.055) ** 2.4;
    $back = fn (float $l): float => 255 * ($l <= 0.0031308 ? 12.92 * $l : 1.055 * $l ** (1 / 2.4) - 0.055);
    mt_srand(9);
    for ($i = 0; $i < 100; $i++) {
        $oil = [mt_rand(60, 250), mt_rand(50, 240), mt_rand(10, 200)];
        $lamp = [mt_rand(55, 96) / 100, mt_rand(55, 96) / 100, mt_rand(55, 96) / 100];
        $lit = fn (array $rgb) => array_map(fn (float|int $v, float $share) => $back($linear($v) * $share), $rgb, $lamp);
        $seen = Colour::sRgb($lit($oil), $lit([255, 255, 255]));
        expect($seen->difference(Colour::sRgb(array_map(floatval(...), $oil))))->toBeLessThan(0.01);
    }
});
