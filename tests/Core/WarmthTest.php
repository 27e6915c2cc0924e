<?php

use Kettle\Warmth\Air;
use Kettle\Warmth\Approach;
use Kettle\Warmth\Band;
use Kettle\Warmth\Colour;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\Sun;
use Kettle\Warmth\WarmHours;
use Kettle\Warmth\WarmthRefused;

// IAPWS, saturation pressure of water, quoted from memory: three figures.
it('holds the saturation pressure of water', function (float $celsius, float $kPa) {
    expect(Air::saturation($celsius))->toEqualWithDelta($kPa, 0.002 * $kPa);
})->with([
    [0.01, 0.611657],
    [10.0, 1.228],
    [25.0, 3.170],
    [40.0, 7.385],
    [60.0, 19.95],
    [80.0, 47.41],
    [95.0, 84.6],
    [100.0, 101.4],
]);

// ICAO standard atmosphere, Doc 7488, quoted from memory; water then boils at about 96.7 C at 1000 m and 93.3 C at 2000 m.
it('boils lower the higher it stands', function (float $metres, float $kPa, float $boils) {
    expect(Air::pressure($metres))->toEqualWithDelta($kPa, 0.05)->and(Air::boiling(Air::pressure($metres)))->toEqualWithDelta($boils, 0.1);
})->with([
    [0.0, 101.325, 99.97],
    [1000.0, 89.87, 96.7],
    [2000.0, 79.50, 93.3],
    [3000.0, 70.11, 90.0],
]);

it('turns pressure into boiling point and back', function () {
    foreach (range(20, 120, 5) as $celsius) {
        expect(Air::boiling(Air::saturation((float) $celsius)))->toEqualWithDelta((float) $celsius, 1e-4);
    }
});

/*
 * ASHRAE Handbook, HVAC Applications: a 24 cm pot is 0.04524 m2; at 95 C over a kitchen at 20 C, half damp, it
 * loses about half a litre an hour. The cook's figure is 450 mL (common practice, no source).
 */
it('loses as much water as the cook says', function () {
    $kgPerHour = Air::evaporation(M_PI * 0.12 ** 2, 95.0, Air::saturation(20.0) * 0.5) * 3600;
    expect($kgPerHour)->toBeGreaterThan(0.45)->toBeLessThan(0.60);
    expect(Air::evaporation(0.04, 20.0, 5.0))->toBe(0.0)->and(Air::evaporation(0.04, 60.0, 1.0, 0.5))->toBeGreaterThan(Air::evaporation(0.04, 60.0, 1.0));
});

// Steam tables: 2257 kJ/kg at 100 C, 2358 at 60 C, 2442 at 25 C, quoted from memory.
it('takes the heat of the steam tables to turn water to vapour', function (float $celsius, float $kJ) {
    expect(Air::latentHeat($celsius))->toEqualWithDelta($kJ, 5.0);
})->with([
    [25.0, 2442.0],
    [60.0, 2358.0],
    [100.0, 2257.0],
]);

/** @param  array<string, float>  $more */
function aPot(array $more = []): Pot
{
    return Pot::of($more + ['watts' => 120.0, 'loss_w_per_k' => 1.6, 'water_kg' => 2.5, 'jars_j_per_k' => Pot::jars(0.35, 0.07, 0.3), 'jars_w_per_k' => 6.0, 'open_m2' => 0.02]);
}

/*
 * With no evaporation and no jars the water alone obeys C dT/dt = P - UA (T - T_room), whose answer is closed:
 * T = T_room + P/UA (1 - exp(-UA t / C)).
 */
it('follows the closed form when nothing evaporates', function (float $watts, float $loss) {
    $pot = aPot(['watts' => $watts, 'loss_w_per_k' => $loss, 'open_m2' => 0.0, 'jars_j_per_k' => 0.0]);
    $run = PotRun::of($pot, 6.0);
    $capacity = 2.5 * Pot::WATER + 2500;
    foreach ($run->path as $i => $point) {
        if ($i % 30 === 0) {
            expect($point['water'])->toEqualWithDelta(18 + $watts / $loss * (1 - exp(-$loss * $point['s'] / $capacity)), 1e-5);
        }
    }
})->with([
    [60.0, 1.6],
    [100.0, 1.6],
    [40.0, 0.9],
]);

/*
 * The whole model against scipy.integrate.solve_ivp (DOP853, tolerances 1e-9), with the same equations
 * written again in Python, its vapour pressure among them.
 */
it('agrees with SciPy', function (array $more) {
    $pot = aPot($more);
    $theirs = python(sprintf(<<<'PY'
import json
from math import exp
from scipy.integrate import solve_ivp
P, UA, m0, Cv, A, Co, k, room, air = %f, %f, %f, %f, %f, %f, %f, %f, %f
def ps(T):
    K = T + 273.15; t = 1 - K/647.096
    return 22064.0*exp(647.096/K*(-7.85951783*t + 1.84408259*t**1.5 - 11.7866497*t**3 + 22.6807411*t**3.5 - 15.9618719*t**4 + 1.80122502*t**7.5))
def Y(T): return 2500.9 - 2.438*T
def f(t, y):
    T, O, m = y
    w = max(0.0, A*(ps(T) - air)*0.089/Y(T))
    across = k*(T - O)
    return [(P - UA*(T - room) - across - w*Y(T)*1000)/(m*4186.0 + Cv), across/Co, -w]
s = solve_ivp(f, [0, 8*3600], [room, room, m0], method='DOP853', rtol=1e-9, atol=1e-9, t_eval=[3600*i for i in range(9)])
print(json.dumps([list(map(float, x)) for x in s.y]))
PY, $pot->watts, $pot->lossWPerK, $pot->waterKg, $pot->vesselJPerK, $pot->openM2, $pot->jarsJPerK, $pot->jarsWPerK, $pot->roomC, $pot->airKPa()));
    $run = PotRun::of($pot, 8.0, keepS: 3600.0);
    expect($run->path)->toHaveCount(9);
    foreach ($run->path as $hour => $point) {
        expect($point['water'])->toEqualWithDelta($theirs[0][$hour], 0.01, "water at {$hour} h")
            ->and($point['oil'])->toEqualWithDelta($theirs[1][$hour], 0.01, "oil at {$hour} h")
            ->and($point['kg'])->toEqualWithDelta($theirs[2][$hour], 0.001, "kg at {$hour} h");
    }
})->with([
    'a slow cooker on warm' => [[]],
    'its lid off' => [['open_m2' => 0.034]],
    'a wide pan' => [['watts' => 250.0, 'open_m2' => 0.06, 'loss_w_per_k' => 3.0]],
    'many jars in little water' => [['water_kg' => 1.2, 'jars_j_per_k' => 6000.0, 'jars_w_per_k' => 12.0]],
    'a cold kitchen' => [['room_c' => 8.0, 'humidity' => 0.8]],
]);

it('loses no joule: what comes in is stored, lost or steamed off', function (array $more) {
    $run = PotRun::of(aPot($more), 8.0);
    ['in' => $in, 'stored' => $stored, 'lost' => $lost, 'steam' => $steam] = $run->joules;
    expect($stored + $lost + $steam)->toEqualWithDelta($in, 1e-4 * $in + 1);
})->with([
    'on warm' => [[]],
    'coming to the boil' => [['watts' => 900.0]],
    'at the boil on a mountain' => [['watts' => 900.0, 'height_m' => 2000.0, 'water_kg' => 4.0]],
    'boiled dry' => [['watts' => 1500.0, 'water_kg' => 0.8]],
    'switched off' => [['watts' => 0.0]],
]);

it('boils and gets no hotter', function () {
    $run = PotRun::of(aPot(['watts' => 900.0, 'height_m' => 2000.0, 'water_kg' => 5.0]), 3.0);
    expect(max(array_column($run->path, 'water')))->toBeLessThanOrEqual(aPot(['height_m' => 2000.0])->boilsAt() + 1e-6)
        // At the boil the steam is what heat is left over: (900 W - loss) over the heat of vapour, about 1.2 kg an hour.
        ->and($run->path[180]['kg'] - $run->path[120]['kg'])->toEqualWithDelta(-(900 - 1.6 * (93.3 - 18)) * 3600 / (Air::latentHeat(93.3) * 1000), 0.02);
});

it('says when it is warm, where it settles, and when water is wanted', function () {
    $run = PotRun::of(aPot(), 10.0);
    $warm = $run->reaches(43.0);
    expect($warm)->not->toBeNull()->and($run->reaches(95.0))->toBeNull()
        ->and($run->settles())->toBeGreaterThan(43.0)->toBeLessThanOrEqual($run->peak())
        ->and($run->losesBy(0.1))->toBeLessThan($run->losesBy(0.3))
        ->and($run->losesBy(50.0))->toBeNull()
        ->and($run->waterLost())->toBeGreaterThan(0.0);
    // More heat is sooner warm, and settles warmer.
    $hotter = PotRun::of(aPot(['watts' => 160.0]), 10.0);
    expect($hotter->reaches(43.0))->toBeLessThan($warm)->and($hotter->settles())->toBeGreaterThan($run->settles());
});

it('refuses a pot that no kitchen has', function (array $more, string $field) {
    try {
        aPot($more);
    } catch (WarmthRefused $refused) {
        expect($refused->field)->toBe($field)->and($refused->sentence)->toMatch('/\.$/');

        return;
    }
    $this->fail('It was taken.');
})->with([
    [['watts' => -5.0], 'watts'],
    [['watts' => NAN], 'watts'],
    [['loss_w_per_k' => 0.0], 'loss_w_per_k'],
    [['water_kg' => 500.0], 'water_kg'],
    [['humidity' => 1.5], 'humidity'],
    [['room_c' => 90.0], 'room_c'],
    [['height_m' => 9000.0], 'height_m'],
]);

/** Readings each so many seconds. @param  list<float>  $celsius @return list<array{int, float}> */
function readings(array $celsius, int $every = 600): array
{
    return array_map(fn (int $i, float $c) => [1_700_000_000 + $i * $every, $c], array_keys($celsius), $celsius);
}

it('counts an hour at the target as an hour', function () {
    $hours = WarmHours::over(readings(array_fill(0, 13, 49.0)), Band::about(49, 60));
    expect($hours->hours())->toEqualWithDelta(2.0, 1e-9)->and($hours->plainHours())->toEqualWithDelta(2.0, 1e-9)->and($hours->peak())->toBe(49.0)->and($hours->minutesOver())->toBe(0.0);
});

/*
 * Q10 = 2 about the target (common rule): an hour at 59 counts for two, one at 44 for 2^-0.5 = 0.7071; below
 * the band it counts for nothing.
 */
it('weighs warmth by ten degrees doubling the rate', function (float $celsius, float $hours) {
    expect(WarmHours::over(readings(array_fill(0, 7, $celsius)), Band::of(43, 49, 60))->hours())->toEqualWithDelta($hours, 1e-4);
})->with([
    [59.0, 2.0],
    [49.0, 1.0],
    [44.0, 0.7071],
    [42.9, 0.0],
    [20.0, 0.0],
    [61.0, 0.0],
]);

it('counts a rise through the band by its integral, as SciPy does', function () {
    $theirs = python('import json; from scipy.integrate import quad; print(json.dumps(quad(lambda s: 2**((20+40*s/3600-49)/10) if 43 <= 20+40*s/3600 <= 60 else 0, 0, 3600, points=[2070], limit=200)[0]/3600))');
    // From 20 to 60 C in an hour, straight: warm from 43 C on.
    expect(WarmHours::over([[0, 20.0], [1800, 40.0], [3600, 60.0]], Band::of(43, 49, 60), 3600)->hours())->toEqualWithDelta($theirs, 1e-6);
});

it('counts the minutes over the ceiling, and the peak', function () {
    // From 55 to 65 in ten minutes passes 60 half way; ten minutes at 65; down again.
    $hours = WarmHours::over(readings([55.0, 65.0, 65.0, 55.0]), Band::of(43, 49, 60));
    expect($hours->minutesOver())->toEqualWithDelta(20.0, 1e-9)->and($hours->peak())->toBe(65.0);
});

it('counts no gap as warm', function () {
    $hours = WarmHours::over([[0, 49.0], [600, 49.0], [20_000, 49.0], [20_600, 49.0]], Band::about(49, 60));
    expect($hours->hours())->toEqualWithDelta(1200 / 3600, 1e-9)->and($hours->gapMinutes())->toEqualWithDelta(19_400 / 60, 1e-9);
});

it('comes to the same however the log is cut', function () {
    mt_srand(2);
    $all = array_map(fn (int $i) => [$i * 60, 49 + 10 * sin($i / 40) + mt_rand(-10, 10) / 10], range(0, 600));
    $whole = WarmHours::over($all, Band::of(43, 49, 60));
    $one = WarmHours::over(array_slice($all, 0, 301), Band::of(43, 49, 60));
    $two = WarmHours::over(array_slice($all, 300), Band::of(43, 49, 60));
    expect($one->hours() + $two->hours())->toEqualWithDelta($whole->hours(), 1e-9)->and($one->minutesOver() + $two->minutesOver())->toEqualWithDelta($whole->minutesOver(), 1e-9);
});

it('takes a log of any length in a little memory', function () {
    $log = (function () {
        for ($i = 0; $i < 200_000; $i++) {
            yield [$i * 10, 49.0 + ($i % 7) / 10];
        }
    })();
    $before = memory_get_usage();
    expect(WarmHours::over($log, Band::about(49, 60))->count())->toBe(200_000)->and(memory_get_usage() - $before)->toBeLessThan(1_000_000);
});

it('refuses a log that cannot be', function (array $readings, string $says) {
    expect(fn () => WarmHours::over($readings, Band::about(49, 60)))->toThrow(WarmthRefused::class, $says);
})->with([
    'backwards' => [[[600, 49.0], [0, 49.0]], 'in the order of their times'],
    'doubled' => [[[600, 49.0], [600, 49.0]], 'each once'],
    '900 degrees' => [[[0, 900.0]], 'Fahrenheit'],
    'Fahrenheit' => [[[0, 160.0]], 'Fahrenheit'],
    'no number' => [[[0, NAN]], 'not of this pot'],
]);

it('refuses a band that is none', function (float $low, float $target, float $ceiling) {
    expect(fn () => Band::of($low, $target, $ceiling))->toThrow(WarmthRefused::class);
})->with([
    [50.0, 49.0, 60.0],
    [43.0, 61.0, 60.0],
    [-5.0, 10.0, 20.0],
    [43.0, 49.0, 500.0],
    [NAN, 49.0, 60.0],
]);

// Sharma, Wu and Dalal 2005, table 1, the pairs that are quoted most, from memory.
it('tells colours apart as Sharma, Wu and Dalal do', function (array $one, array $other, float $difference) {
    expect(Colour::lab(...$one)->difference(Colour::lab(...$other)))->toEqualWithDelta($difference, 0.0001)
        ->and(Colour::lab(...$other)->difference(Colour::lab(...$one)))->toEqualWithDelta($difference, 0.0001);
})->with([
    [[50.0, 2.6772, -79.7751], [50.0, 0.0, -82.7485], 2.0425],
    [[50.0, 3.1571, -77.2803], [50.0, 0.0, -82.7485], 2.8615],
    [[50.0, 2.8361, -74.0200], [50.0, 0.0, -82.7485], 3.4412],
    [[50.0, -1.3802, -84.2814], [50.0, 0.0, -82.7485], 1.0],
    [[50.0, 0.0, 0.0], [50.0, -1.0, 2.0], 2.3669],
    [[50.0, 2.4900, -0.0010], [50.0, -2.4900, 0.0009], 7.1792],
    [[50.0, 2.5, 0.0], [50.0, 0.0, -2.5], 4.3065],
    [[50.0, 2.5, 0.0], [73.0, 25.0, -18.0], 27.1492],
    [[50.0, 2.5, 0.0], [61.0, -5.0, 29.0], 22.8977],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[22.7233, 20.0904, -46.6940], [23.0331, 14.9730, -42.5619], 2.0373],
    [[2.0776, 0.0795, -1.1350], [0.9033, -0.0636, -0.5514], 0.9082],
]);

// CIELAB of the sRGB primaries under D65, as any colour library gives them; quoted from memory.
it('sees sRGB as CIELAB', function (array $rgb, array $lab) {
    $colour = Colour::sRgb($rgb);
    expect($colour->l)->toEqualWithDelta($lab[0], 0.05)->and($colour->a)->toEqualWithDelta($lab[1], 0.05)->and($colour->b)->toEqualWithDelta($lab[2], 0.05);
})->with([
    'white' => [[255.0, 255.0, 255.0], [100.0, 0.0, 0.0]],
    'black' => [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0]],
    'red' => [[255.0, 0.0, 0.0], [53.24, 80.09, 67.20]],
    'green' => [[0.0, 255.0, 0.0], [87.73, -86.18, 83.18]],
    'blue' => [[0.0, 0.0, 255.0], [32.30, 79.19, -107.86]],
    'grey' => [[128.0, 128.0, 128.0], [53.59, 0.0, 0.0]],
]);

it('takes the light of the kitchen out by a white card', function () {
    $oil = [180.0, 150.0, 60.0];
    $plain = Colour::sRgb($oil, [250.0, 250.0, 250.0]);
    // The same under a yellow lamp: each channel of oil and card dimmed alike in linear light.
    $dim = fn (float $value, float $by) => 255 * (($linear = (($value / 255 + 0.055) / 1.055) ** 2.4 * $by) <= 0.0031308 ? 12.92 * $linear : 1.055 * $linear ** (1 / 2.4) - 0.055);
    $lamp = [0.95, 0.85, 0.60];
    $under = Colour::sRgb(array_map($dim, $oil, $lamp), array_map($dim, [250.0, 250.0, 250.0], $lamp));
    expect($plain->difference($under))->toBeLessThan(0.05)->and(Colour::sRgb($oil)->difference(Colour::sRgb(array_map($dim, $oil, $lamp))))->toBeGreaterThan(3.0);
});

it('refuses what is no colour, and a card that tells nothing', function (array $rgb, ?array $card, string $field) {
    try {
        Colour::sRgb($rgb, $card);
    } catch (WarmthRefused $refused) {
        expect(in_array($refused->field, [$field, ''], true))->toBeTrue();

        return;
    }
    $this->fail('It was taken.');
})->with([
    [[300.0, 0.0, 0.0], null, 'colour'],
    [[1.0, 2.0], null, 'colour'],
    [[NAN, 0.0, 0.0], null, 'colour'],
    [[100.0, 100.0, 100.0], [20.0, 20.0, 20.0], 'card'],
    [[100.0, 100.0, 100.0], [255.0, 255.0, 255.0], 'card'],
]);

it('finds the end that an infusion goes towards, as SciPy’s curve_fit does', function (array $looks) {
    $fit = Approach::through($looks);
    $theirs = python(sprintf(<<<'PY'
import json
import numpy as np
from scipy.optimize import curve_fit
d = np.array(%s)
p, c = curve_fit(lambda t, m, k: m*(1 - np.exp(-k*t)), d[:,0], d[:,1], p0=[d[:,1].max(), 1/d[:,0].mean()], maxfev=20000)
print(json.dumps([float(p[0]), float(p[1]), float(np.sqrt(c[0][0])), float(np.sqrt(c[1][1]))]))
PY, json_encode($looks)));
    expect($fit->max)->toEqualWithDelta($theirs[0], 1e-4 * $theirs[0])
        ->and($fit->rate)->toEqualWithDelta($theirs[1], 1e-4 * $theirs[1])
        ->and($fit->maxError)->toEqualWithDelta($theirs[2], 1e-2 * $theirs[2] + 1e-9)
        ->and($fit->rateError)->toEqualWithDelta($theirs[3], 1e-2 * $theirs[3] + 1e-9);
})->with([
    'a month of looks' => [[[1, 3.1], [3, 7.9], [7, 14.2], [10, 17.1], [14, 20.3], [21, 22.4], [28, 23.9]]],
    'four looks' => [[[2, 5.0], [7, 12.0], [14, 17.5], [21, 19.0]]],
    'soon done' => [[[1, 8.0], [2, 9.7], [5, 10.1], [9, 9.9], [14, 10.0]]],
    'hours in the pot' => [[[0.5, 2.2], [1, 4.1], [2, 6.8], [4, 10.1], [6, 11.4], [8, 12.3]]],
]);

it('knows the curve it was given', function () {
    $fit = Approach::through(array_map(fn (int $t) => [(float) $t, 24 * (1 - exp(-0.12 * $t))], [1, 3, 6, 10, 15, 22, 28]));
    expect($fit->max)->toEqualWithDelta(24.0, 1e-6)->and($fit->rate)->toEqualWithDelta(0.12, 1e-7)
        ->and($fit->share(28))->toEqualWithDelta(1 - exp(-3.36), 1e-7)->and($fit->when(0.9))->toEqualWithDelta(log(10) / 0.12, 1e-4)
        ->and($fit->toCome()[0])->toEqualWithDelta(exp(-3.36), 1e-7)->and($fit->toCome()[1])->toBeLessThan(1e-6);
});

it('says when there are too few looks, or nothing rises', function (array $looks, string $says) {
    expect(fn () => Approach::through($looks))->toThrow(WarmthRefused::class, $says);
})->with([
    'none' => [[], 'too few looks'],
    'three' => [[[1, 1.0], [2, 2.0], [3, 2.5]], 'too few looks'],
    'all of one day' => [[[1, 1.0], [1, 2.0], [1, 2.5], [1, 2.6]], 'too few looks'],
    'nothing seen' => [[[1, 0.0], [2, 0.0], [3, 0.0], [4, 0.0]], 'Nothing rises'],
]);

/*
 * Against ephem (Debian's python3-ephem, VSOP87): the sun's height over five latitudes through the year, with no
 * refraction, and the length of the day by the almanac's own rule for rising (-0.833 degrees to the middle).
 */
it('stands where ephem says the sun stands', function () {
    $theirs = python(<<<'PY'
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
PY);
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
    $theirs = python(<<<'PY'
import json, ephem
out = []
for lat in (-45.0, -20.0, 0.0, 30.0, 50.0, 59.3):
    for month in range(1, 13):
        o = ephem.Observer(); o.lat, o.lon, o.pressure, o.elevation, o.horizon = str(lat), '0', 0, 0, '-0:50'
        o.date = '2026/%d/15 12:00:00' % month
        rise = o.previous_rising(ephem.Sun(), use_center=True); setting = o.next_setting(ephem.Sun(), use_center=True)
        out.append([lat, '2026-%02d-15' % month, (setting - rise)*24])
print(json.dumps(out))
PY);
    foreach ($theirs as [$latitude, $day, $hours]) {
        expect(Sun::over($latitude, 0.0)->dayLength(new DateTimeImmutable($day)))->toEqualWithDelta($hours, 0.06, "{$latitude} {$day}");
    }
});

// At the equinox about 12 h 8 min at 50 N, by the definition of sunrise: an almanac's figure, from memory.
it('is up a little over half the day at the equinox, all day at midsummer in the north, and not at midwinter', function () {
    expect(Sun::over(50.0, 0.0)->dayLength(new DateTimeImmutable('2026-03-20')))->toEqualWithDelta(12 + 9 / 60, 0.05)
        ->and(Sun::over(70.0, 20.0)->dayLength(new DateTimeImmutable('2026-06-21')))->toBe(24.0)
        ->and(Sun::over(70.0, 20.0)->dayLength(new DateTimeImmutable('2026-12-21')))->toBe(0.0)
        ->and(Sun::over(90.0, 0.0)->dayLength(new DateTimeImmutable('2026-06-21')))->toBe(24.0);
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
    expect(fn () => Sun::over($latitude, $longitude))->toThrow(WarmthRefused::class);
})->with([
    [91.0, 0.0],
    [0.0, 181.0],
    [NAN, 0.0],
]);

// Worked by hand, of a band with its ceiling at 60 C; a reading stands for half the way to each neighbour at the least.
it('tells every reading over the ceiling, however far apart they are', function (array $readings, float $minutes) {
    $hours = Kettle\Warmth\WarmHours::over(array_map(fn (array $r) => [$r[0] * 60, (float) $r[1]], $readings), Kettle\Warmth\Band::of(43, 49, 60), 5400);
    expect($hours->minutesOver())->toEqualWithDelta($minutes, 1e-6);
})->with([
    'a peak between two, a quarter of an hour each way' => [[[0, 50], [15, 61], [30, 50]], 15.0],
    'alone, hours from any other: three quarters of an hour each way' => [[[0, 50], [300, 70], [600, 50]], 90.0],
    'the only one there is' => [[[0, 70]], 1.0],
    'all of an hour' => [[[0, 65], [30, 65], [60, 65]], 60.0],
    'none' => [[[0, 60], [30, 60]], 0.0],
]);

it('gives an hourly cook her hours, with a wider range, and breaks where she stopped', function () {
    $hourly = array_map(fn (int $i) => [$i * 3600, 49.0], range(0, 8));
    $reach = Kettle\Warmth\WarmHours::reachOf($hourly);
    $hours = Kettle\Warmth\WarmHours::over($hourly, Kettle\Warmth\Band::of(43, 49, 60), $reach);
    expect($reach)->toBe(5760)->and($hours->hours())->toEqualWithDelta(8.0, 1e-9)->and($hours->range())->toBe(['low' => 4.0, 'high' => 10.0]);
    $minutely = array_map(fn (int $i) => [$i * 60, 49.0], range(0, 60));
    expect(Kettle\Warmth\WarmHours::reachOf($minutely))->toBe(1800);
    $dense = Kettle\Warmth\WarmHours::over($minutely, Kettle\Warmth\Band::of(43, 49, 60));
    expect($dense->range()['low'])->toBe($dense->hours());
    // Two hours without a word in an hourly log are a gap.
    $gap = [...$hourly, [8 * 3600 + 3 * 3600, 49.0]];
    expect(Kettle\Warmth\WarmHours::over($gap, Kettle\Warmth\Band::of(43, 49, 60), Kettle\Warmth\WarmHours::reachOf($gap))->gapMinutes())->toBe(180.0);
});

it('settles where what comes in goes out, and not where the run ended', function () {
    // A pot with no open water: P = UA (T - T_room), so 60 W over 1.5 W/K stand 40 degrees over the room.
    $closed = Kettle\Warmth\Pot::of(['watts' => 60, 'loss_w_per_k' => 1.5, 'water_kg' => 3, 'open_m2' => 0, 'room_c' => 18]);
    expect($closed->steady())->toEqualWithDelta(58.0, 1e-6);
    $open = Kettle\Warmth\Pot::of(['watts' => 120, 'loss_w_per_k' => 1.6, 'water_kg' => 2.5, 'room_c' => 18]);
    // Long enough after, the stepped pot stands there too.
    expect(Kettle\Warmth\PotRun::of($open->with(['water_kg' => 40.0]), 200, 60.0, 600)->settles())->toEqualWithDelta($open->steady(), 0.6)
        ->and(Kettle\Warmth\PotRun::of($open, 1)->settles())->toBeLessThan($open->steady() - 5);
    $boiling = Kettle\Warmth\Pot::of(['watts' => 1500, 'loss_w_per_k' => 2, 'water_kg' => 3, 'room_c' => 18]);
    // At the boil what is left over steams off: (1500 - 2 x 82) W over 2.257 MJ/kg, latent heat by IAPWS.
    expect($boiling->steady())->toEqualWithDelta(100, 0.2)->and($boiling->losesAt(100) * 3600)->toEqualWithDelta((1500 - 2 * 82) / 2.257e6 * 3600, 0.03);
});
