<?php

use Kettle\Warmth\Sun;
use Kettle\Warmth\WarmthException;

/*
 * Against ephem (Debian's python3-ephem, VSOP87): the sun's height over five latitudes through the year, with no
 * refraction, and the length of the day by the almanac's own rule for rising (-0.833 degrees to the middle).
 */
it('stands where ephem says the sun stands', function () {
    $theirs = python(
        <<<'PY'
        import json, math, ephem
        out = []
        for lat in (-33.9, 0.0, 35.7, 50.0, 59.3, 68.0):
            for month in range(1, 13):
                for hour in (7, 12, 16):
                    o = ephem.Observer(); o.lat, o.lon, o.pressure, o.elevation = str(lat), '-1.2', 0, 0
                    o.date = '2026/%d/15 %d:00:00' % (month, hour)
                    s = ephem.Sun(o)
                    out.append([lat, '2026-%02d-15T%02d:00:00Z' % (month, hour), math.degrees(s.alt), math.degrees(s.az)])
        print(json.dumps(out))
        PY
        ,
    );
    expect($theirs)->toHaveCount(216);
    foreach ($theirs as [$latitude, $moment, $height, $bearing]) {
        $position = Sun::over($latitude, -1.2)->position(new DateTimeImmutable($moment));
        expect($position['height'])->toEqualWithDelta($height, 0.03, "{$latitude} {$moment}");
        if (abs($height) < 80) {
            expect(abs(fmod($position['bearing'] - $bearing + 540, 360) - 180))->toBeLessThan(0.15, "{$latitude} {$moment}");
        }
    }
});

it('is up as long as ephem says', function () {
    $theirs = python(
        <<<'PY'
        import json, ephem
        out = []
        for lat in (-45.0, -20.0, 0.0, 30.0, 50.0, 59.3):
            for month in range(1, 13):
                o = ephem.Observer(); o.lat, o.lon, o.pressure, o.elevation, o.horizon = str(lat), '0', 0, 0, '-0:50'
                o.date = '2026/%d/15 12:00:00' % month
                rise = o.previous_rising(ephem.Sun(), use_center=True); setting = o.next_setting(ephem.Sun(), use_center=True)
                out.append([lat, '2026-%02d-15' % month, (setting - rise)*24])
        print(json.dumps(out))
        PY
        ,
    );
    foreach ($theirs as [$latitude, $day, $hours]) {
        expect(Sun::over($latitude, 0.0)->dayLength(new DateTimeImmutable($day)))->toEqualWithDelta($hours, 0.06, "{$latitude} {$day}");
    }
});

// At the equinox about 12 h 8 min at 50 N, by the definition of sunrise: an almanac's figure, from memory.
it('is up a little over half the day at the equinox, all day at midsummer in the north, and not at midwinter', function () {
    expect(Sun::over(50.0, 0.0)->dayLength(new DateTimeImmutable('2026-03-20')))
        ->toEqualWithDelta(12 + 9 / 60, 0.05)
        ->and(Sun::over(70.0, 20.0)->dayLength(new DateTimeImmutable('2026-06-21')))
        ->toBe(24.0)
        ->and(Sun::over(70.0, 20.0)->dayLength(new DateTimeImmutable('2026-12-21')))
        ->toBe(0.0)
        ->and(Sun::over(90.0, 0.0)->dayLength(new DateTimeImmutable('2026-06-21')))
        ->toBe(24.0);
});

it('shines by how high it stands', function () {
    expect(Sun::clearSky(-5.0))->toBe(0.0)->and(Sun::clearSky(0.0))->toBe(0.0);
    $before = 0.0;
    foreach (range(5, 90, 5) as $height) {
        $now = Sun::clearSky((float) $height);
        expect($now)->toBeGreaterThan($before)->toBeLessThan(1100.0);
        $before = $now;
    }
    // Clear sky at noon with the sun overhead: about 1000 W/m2, as every handbook of sunlight has it.
    expect($before)->toEqualWithDelta(1037.0, 5.0);
});

it('refuses a place that is not on the earth', function (float $latitude, float $longitude) {
    expect(fn () => Sun::over($latitude, $longitude))->toThrow(WarmthException::class);
})->with([[91.0, 0.0], [0.0, 181.0], [NAN, 0.0]]);
