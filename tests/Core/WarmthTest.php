<?php

use Kettle\Warmth\Air;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\WarmthException;

require_once dirname(__DIR__).'/Runs.php';

// IAPWS, saturation pressure of water, quoted from memory: three figures.
it('holds the saturation pressure of water', function (float $celsius, float $kPa) {
    expect(Air::saturation($celsius))->toEqualWithDelta($kPa, 0.002 * $kPa);
})->with([[0.01, 0.611657], [10.0, 1.228], [25.0, 3.17], [40.0, 7.385], [60.0, 19.95], [80.0, 47.41], [95.0, 84.6], [100.0, 101.4]]);

// ICAO standard atmosphere, Doc 7488, quoted from memory; water then boils at about 96.7 C at 1000 m and 93.3 C at 2000 m.
it('boils lower the higher it stands', function (float $metres, float $kPa, float $boils) {
    expect(Air::pressure($metres))->toEqualWithDelta($kPa, 0.05)->and(Air::boiling(Air::pressure($metres)))->toEqualWithDelta($boils, 0.1);
})->with([[0.0, 101.325, 99.97], [1000.0, 89.87, 96.7], [2000.0, 79.5, 93.3], [3000.0, 70.11, 90.0]]);

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
    expect($kgPerHour)->toBeGreaterThan(0.45)->toBeLessThan(0.6);
    expect(Air::evaporation(0.04, 20.0, 5.0))
        ->toBe(0.0)
        ->and(Air::evaporation(0.04, 60.0, 1.0, 0.5))
        ->toBeGreaterThan(Air::evaporation(0.04, 60.0, 1.0));
});

// Steam tables: 2257 kJ/kg at 100 C, 2358 at 60 C, 2442 at 25 C, quoted from memory.
it('takes the heat of the steam tables to turn water to vapour', function (float $celsius, float $kJ) {
    expect(Air::latentHeat($celsius))->toEqualWithDelta($kJ, 5.0);
})->with([[25.0, 2442.0], [60.0, 2358.0], [100.0, 2257.0]]);

/** @param  array<string, float>  $more */
function aPot(array $more = []): Pot
{
    return Pot::of(
        $more + [
            'watts' => 120.0,
            'loss_w_per_k' => 1.6,
            'water_kg' => 2.5,
            'jars_j_per_k' => Pot::jars(0.35, 0.07, 0.3),
            'jars_w_per_k' => 6.0,
            'open_m2' => 0.02,
        ],
    );
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
            expect($point['water'])->toEqualWithDelta(18 + ($watts / $loss) * (1 - exp((-$loss * $point['s']) / $capacity)), 1e-5);
        }
    }
})->with([[60.0, 1.6], [100.0, 1.6], [40.0, 0.9]]);

/*
 * The whole model against scipy.integrate.solve_ivp (DOP853, tolerances 1e-9), with the same equations
 * written again in Python, its vapour pressure among them.
 */
it('agrees with SciPy', function (array $more) {
    $pot = aPot($more);
    $theirs = python(
        sprintf(
            <<<'PY'
            import json
            from math import exp
            from scipy.integrate import solve_ivp
            P, UA, m0, Cv, A, Co, k, room, air = %f, %f, %f, %f, %f, %f, %f, %f, %f
            def ps(T):
                K = T + 273.15; t = 1 - K/647.096
                return 22064.0*exp(647.096/K*(-7.85951783*t + 1.84408259*t**1.5 - 11.7866497*t**3
                    + 22.6807411*t**3.5 - 15.9618719*t**4 + 1.80122502*t**7.5))
            def Y(T): return 2500.9 - 2.438*T
            def f(t, y):
                T, O, m = y
                w = max(0.0, A*(ps(T) - air)*0.089/Y(T))
                across = k*(T - O)
                return [(P - UA*(T - room) - across - w*Y(T)*1000)/(m*4186.0 + Cv), across/Co, -w]
            s = solve_ivp(f, [0, 8*3600], [room, room, m0], method='DOP853', rtol=1e-9, atol=1e-9, t_eval=[3600*i for i in range(9)])
            print(json.dumps([list(map(float, x)) for x in s.y]))
            PY
            ,
            $pot->watts,
            $pot->lossWPerK,
            $pot->waterKg,
            $pot->vesselJPerK,
            $pot->openM2,
            $pot->jarsJPerK,
            $pot->jarsWPerK,
            $pot->roomC,
            $pot->airKPa(),
        ),
    );
    $run = PotRun::of($pot, 8.0, keepS: 3600.0);
    expect($run->path)->toHaveCount(9);
    foreach ($run->path as $hour => $point) {
        expect($point['water'])
            ->toEqualWithDelta($theirs[0][$hour], 0.01, "water at {$hour} h")
            ->and($point['oil'])
            ->toEqualWithDelta($theirs[1][$hour], 0.01, "oil at {$hour} h")
            ->and($point['kg'])
            ->toEqualWithDelta($theirs[2][$hour], 0.001, "kg at {$hour} h");
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
    expect(max(array_column($run->path, 'water')))
        ->toBeLessThanOrEqual(aPot(['height_m' => 2000.0])->boilsAt() + 1e-6)
        // At the boil the steam is what heat is left over: (900 W - loss) over the heat of vapour, about 1.2 kg an hour.
        ->and($run->path[180]['kg'] - $run->path[120]['kg'])
        ->toEqualWithDelta((-(900 - 1.6 * (93.3 - 18)) * 3600) / (Air::latentHeat(93.3) * 1000), 0.02);
});

it('says when it is warm, where it settles, and when water is wanted', function () {
    $run = PotRun::of(aPot(), 10.0);
    $warm = $run->reaches(43.0);
    expect($warm)
        ->not->toBeNull()
        ->and($run->reaches(95.0))
        ->toBeNull()
        ->and($run->settles())
        ->toBeGreaterThan(43.0)
        ->toBeLessThanOrEqual($run->peak())
        ->and(losesBy($run, 0.1))
        ->toBeLessThan(losesBy($run, 0.3))
        ->and(losesBy($run, 50.0))
        ->toBeNull()
        ->and(waterLost($run))
        ->toBeGreaterThan(0.0);
    // More heat is sooner warm, and settles warmer.
    $hotter = PotRun::of(aPot(['watts' => 160.0]), 10.0);
    expect($hotter->reaches(43.0))->toBeLessThan($warm)->and($hotter->settles())->toBeGreaterThan($run->settles());
});

it('refuses a pot that no kitchen has', function (array $more, string $field) {
    try {
        aPot($more);
    } catch (WarmthException $refused) {
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

it('settles where what comes in goes out, and not where the run ended', function () {
    // A pot with no open water: P = UA (T - T_room), so 60 W over 1.5 W/K stand 40 degrees over the room.
    $closed = Kettle\Warmth\Pot::of(['watts' => 60, 'loss_w_per_k' => 1.5, 'water_kg' => 3, 'open_m2' => 0, 'room_c' => 18]);
    expect($closed->steady())->toEqualWithDelta(58.0, 1e-6);
    $open = Kettle\Warmth\Pot::of(['watts' => 120, 'loss_w_per_k' => 1.6, 'water_kg' => 2.5, 'room_c' => 18]);
    // Long enough after, the stepped pot stands there too.
    expect(Kettle\Warmth\PotRun::of($open->with(['water_kg' => 40.0]), 200, 60.0, 600)->settles())
        ->toEqualWithDelta($open->steady(), 0.6)
        ->and(Kettle\Warmth\PotRun::of($open, 1)->settles())
        ->toBeLessThan($open->steady() - 5);
    $boiling = Kettle\Warmth\Pot::of(['watts' => 1500, 'loss_w_per_k' => 2, 'water_kg' => 3, 'room_c' => 18]);
    // At the boil what is left over steams off: (1500 - 2 x 82) W over 2.257 MJ/kg, latent heat by IAPWS.
    expect($boiling->steady())
        ->toEqualWithDelta(100, 0.2)
        ->and($boiling->losesAt(100) * 3600)
        ->toEqualWithDelta(((1500 - 2 * 82) / 2.257e6) * 3600, 0.03);
});
