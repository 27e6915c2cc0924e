<?php

use Kettle\Warmth\Band;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotFit;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\Readings;
use Kettle\Warmth\Sun;
use Kettle\Warmth\SunJar;
use Kettle\Warmth\WarmHours;
use Kettle\Warmth\WarmthException;

require_once dirname(__DIR__).'/Runs.php';

function coldPot(array $more = []): Pot
{
    return Pot::of(
        $more + [
            'watts' => 100.0,
            'loss_w_per_k' => 1.4,
            'water_kg' => 2.2,
            'open_m2' => 0.02,
            'jars_j_per_k' => 1100.0,
            'jars_w_per_k' => 6.0,
        ],
    );
}

/** @return list<array{float, float}> a warm-up as a thermometer would have it, with a little noise */
function warmUp(Pot $pot, float $hours, float $noise, string $of = 'oil', int $seed = 3): array
{
    mt_srand($seed);
    $run = PotRun::of($pot, $hours);
    $log = [];
    for ($s = 0.0; $s <= $hours * 3600; $s += 300) {
        $log[] = [$s, $run->at($s, $of) + $noise * (mt_rand() / mt_getrandmax() - 0.5) * 2];
    }

    return $log;
}

it('learns a pot back from its own warm-up', function (float $watts, float $loss, string $of) {
    $pot = coldPot(['watts' => $watts, 'loss_w_per_k' => $loss]);
    $fit = PotFit::through(coldPot(), warmUp($pot, 5, 0.0, $of), $of);
    expect($fit->watts)
        ->toEqualWithDelta($watts, 0.2)
        ->and($fit->lossWPerK)
        ->toEqualWithDelta($loss, 0.01)
        ->and($fit->rms)
        ->toBeLessThan(0.01);
    $noisy = PotFit::through(coldPot(), warmUp($pot, 5, 0.4, $of), $of);
    expect(abs($noisy->watts - $watts))
        ->toBeLessThan(4 * $noisy->wattsError + 0.5)
        ->and(abs($noisy->lossWPerK - $loss))
        ->toBeLessThan(4 * $noisy->lossError + 0.02);
})->with([[60.0, 1.0, 'oil'], [100.0, 1.4, 'oil'], [160.0, 2.2, 'oil'], [100.0, 1.4, 'water']]);

/*
 * Against scipy.optimize.curve_fit on the closed form T = T_room + P/UA (1 - exp(-UA t / C)), which the model
 * is when nothing evaporates and no jar stands in it.
 */
it('fits as SciPy does', function () {
    $bare = ['open_m2' => 0.0, 'jars_j_per_k' => 0.0];
    $log = warmUp(coldPot($bare), 4, 0.5, 'water', 11);
    $fit = PotFit::through(coldPot($bare + ['watts' => 50.0, 'loss_w_per_k' => 3.0]), $log, 'water');
    $theirs = python(
        sprintf(
            <<<'PY'
            import json
            from math import exp
            import numpy as np
            from scipy.optimize import curve_fit
            log = np.array(json.loads('%s'))
            C = 2.2*4186 + 2500
            T0 = log[0, 1]
            f = lambda t, P, UA: 18 + P/UA + (T0 - 18 - P/UA)*np.exp(-UA*t/C)
            p, cov = curve_fit(f, log[:, 0], log[:, 1], p0=[80, 1], xtol=1e-12, ftol=1e-12)
            print(json.dumps([float(x) for x in [*p, *np.sqrt(np.diag(cov))]]))
            PY
            ,
            json_encode($log),
        ),
    );
    expect($fit->watts)
        ->toEqualWithDelta($theirs[0], (0.01 * $theirs[0]) / 10)
        ->and($fit->lossWPerK)
        ->toEqualWithDelta($theirs[1], 0.002)
        ->and($fit->wattsError)
        ->toEqualWithDelta($theirs[2], 0.03 * $theirs[2])
        ->and($fit->lossError)
        ->toEqualWithDelta($theirs[3], 0.03 * $theirs[3]);
});

it('says when a warm-up cannot tell', function (array $log, string $says) {
    expect(fn () => PotFit::through(coldPot(), $log))->toThrow(WarmthException::class, $says);
})->with([
    'too few' => [fn () => array_slice(warmUp(coldPot(), 3, 0), 0, 4), 'At least 6'],
    'too short' => [fn () => array_map(fn ($i) => [$i * 60.0, 18.0 + $i], range(0, 10)), 'too short'],
    'never warm' => [fn () => array_map(fn ($i) => [$i * 300.0, 18.0 + $i * 0.01], range(0, 30)), 'hardly warmed'],
    'a straight line' => [fn () => warmUp(coldPot(), 0.7, 0.8), 'cannot tell'],
    'no warm-up at all, drawn to more heat than a pot may have' => [
        fn () => array_map(fn ($i) => [$i * 60.0, $i % 2 === 1 ? 90.0 : 20.0], range(0, 30)),
        'cannot tell',
    ],
]);

it('goes onward as it runs', function () {
    $pot = coldPot();
    $now = ['water' => 18.0, 'oil' => 18.0, 'kg' => 2.2];
    for ($i = 0; $i < 240; $i++) {
        $now = PotRun::onward($pot, $now, 60);
    }
    $run = PotRun::of($pot, 4);
    expect($now['oil'])
        ->toEqualWithDelta($run->settles(), 0.01)
        ->and($now['kg'])
        ->toEqualWithDelta(2.2 - waterLost($run), 1e-4)
        ->and($run->at(1830))
        ->toBeBetween($run->at(1800), $run->at(1860));
});

it('goes on from what was kept as if it had never stopped', function () {
    mt_srand(8);
    $band = Band::of(43, 49, 60);
    $whole = new WarmHours($band);
    $parts = new WarmHours($band);
    $c = 40.0;
    for ($at = 0; $at < 40_000; $at += mt_rand(5, 2500)) {
        $c = max(20, min(66, $c + mt_rand(-30, 32) / 10));
        $whole->take($at, $c);
        $parts = WarmHours::goingOn((array) json_decode((string) json_encode($parts->toArray()), true), $band);
        $parts->take($at, $c);
    }
    expect($parts->toArray())->toEqualWithDelta($whole->toArray(), 1e-9)->and($whole->hours())->toBeGreaterThan(0.1);
});

it('gathers an hour an hour at the target, twice that ten degrees over, nothing outside', function () {
    $hours = new WarmHours(Band::of(43, 49, 60));
    expect($hours->rateAt(49.0))
        ->toBe(1.0)
        ->and($hours->rateAt(59.0))
        ->toEqualWithDelta(2.0, 1e-9)
        ->and($hours->rateAt(42.9))
        ->toBe(0.0)
        ->and($hours->rateAt(60.1))
        ->toBe(0.0);
});

it('takes readings as senders write them', function (mixed $reading, ?float $celsius, string $refused = '') {
    $now = 1_796_000_000;
    $read = Readings::read([$reading], $now - 86400, $now);
    $celsius === null
        ? expect($read['taken'])->toBe([])->and($read['refused'][0]['sentence'])->toContain($refused)
        : expect(array_values($read['taken']))
            ->toBe([$celsius])
            ->and($read['refused'])
            ->toBe([]);
})->with([
    'a number' => [['at' => 1_795_999_000, 'c' => 49.5], 49.5],
    'as text' => [['at' => '1795999000', 'c' => '49,5'], 49.5],
    'Fahrenheit named' => [['at' => 1_795_999_000, 'f' => 120], 48.89],
    'Fahrenheit written' => [['at' => 1_795_999_000, 'c' => '120 F'], 48.89],
    'a moment with its zone' => [['at' => gmdate('Y-m-d\TH:i:s', 1_795_999_000).'+00:00', 'c' => 20], 20.0],
    'a moment without' => [['at' => '2026-11-24T10:00:00', 'c' => 20], null, 'not a moment'],
    'Fahrenheit passed for Celsius' => [['at' => 1_795_999_000, 'c' => 180], null, 'Fahrenheit'],
    'nine hundred degrees' => [['at' => 1_795_999_000, 'c' => 900], null, 'not of this pot'],
    'the future' => [['at' => 1_796_000_500, 'c' => 49], null, 'future'],
    'long ago' => [['at' => 1_700_000_000, 'c' => 49], null, 'before the session'],
    'no warmth' => [['at' => 1_795_999_000], null, 'not a warmth'],
    'words' => [['at' => 1_795_999_000, 'c' => 'hot'], null, 'not a warmth'],
    'a nul' => [['at' => "1795999000\0", 'c' => 49], null, 'not a moment'],
    'a list' => [['at' => [], 'c' => []], null, 'not a moment'],
    'nothing' => [null, null, 'not a moment'],
    'without end' => [['at' => 1_795_999_000, 'c' => INF], null, 'not a warmth'],
]);

it('takes each second once, in order, however they come', function () {
    $now = 1_796_000_000;
    $read = Readings::read(
        [['at' => $now - 10, 'c' => 50], ['at' => $now - 30, 'c' => 48], ['at' => $now - 10, 'c' => 50], ['at' => $now - 20, 'c' => 49]],
        $now - 100,
        $now,
    );
    expect($read['taken'])
        ->toBe([$now - 30 => 48.0, $now - 20 => 49.0, $now - 10 => 50.0])
        ->and($read['doubled'])
        ->toBe(1);
});

/** @return list<array<string, mixed>> */
function skyOf(string $from, int $days, float $cloud, float $low = 8, float $high = 17): array
{
    return array_map(
        fn (int $i) => [
            'day' => (new DateTimeImmutable($from, new DateTimeZone('UTC')))->modify("+{$i} days"),
            'cloud' => $cloud,
            'low_c' => $low,
            'high_c' => $high,
        ],
        range(0, $days - 1),
    );
}

function sunJar(float $latitude = 50.0, ?float $facing = 180.0, bool $bag = false, float $gain = 1.0): SunJar
{
    return SunJar::of(
        Sun::over($latitude, 0),
        ['diameter_mm' => 73.8, 'level_mm' => 93.0, 'oil_kg' => 0.32, 'herb_kg' => 0.07, 'glass_kg' => 0.24],
        $facing,
        $bag,
        18.0,
        $gain,
    );
}

it('is warm in a June window, and in December no better than the shelf', function () {
    $june = sunJar()->through(skyOf('2026-06-15', 5, 0.1));
    $december = sunJar(59.0)->through(skyOf('2026-12-15', 5, 0.8));
    // A jar in a sunny summer window feels warm, some 30 to 45 C: common practice, no source.
    expect($june[3]['peak_c'])
        ->toBeBetween(28, 46)
        ->and($june[3]['warm_h'])
        ->toBeGreaterThan(4)
        ->and($june[3]['shelf_h'] / 24)
        ->toBeGreaterThan(SunJar::WORTH)
        ->and($december[3]['shelf_h'] / 24)
        ->toBeLessThan(SunJar::WORTH)
        ->and($december[3]['peak_c'])
        ->toBeLessThan(22);
});

it('has less of the sun the cloudier it is, and behind glass facing north', function () {
    $worth = fn (SunJar $jar, float $cloud) => array_sum(array_column($jar->through(skyOf('2026-05-10', 4, $cloud)), 'shelf_h'));
    $before = INF;
    foreach ([0.0, 0.2, 0.4, 0.6, 0.8, 1.0] as $cloud) {
        $now = $worth(sunJar(), $cloud);
        expect($now)->toBeLessThanOrEqual($before + 1e-9);
        $before = $now;
    }
    expect($worth(sunJar(facing: 0.0), 0.1))
        ->toBeLessThan($worth(sunJar(facing: 180.0), 0.1))
        ->and($worth(sunJar(gain: 0.75), 0.2))
        ->toBeLessThan($worth(sunJar(gain: 1.25), 0.2));
});

it('stays at the room where no sun comes', function () {
    foreach (sunJar(70.0)->through(skyOf('2026-12-20', 2, 0.0)) as $day) {
        expect($day['mean_c'])
            ->toEqualWithDelta(18.0, 1e-9)
            ->and($day['shelf_h'])
            ->toEqualWithDelta(24.0, 1e-9)
            ->and($day['warm_h'])
            ->toBe(0.0);
    }
});

it('reads a moment by the clock on the wall', function (string $typed, ?string $utc) {
    // London: clocks went forward at 01:00 UTC on 29 March 2026 and back at 01:00 UTC on 25 October 2026 (tz database).
    $read = fn () => Readings::moment($typed, new DateTimeZone('Europe/London'));
    $utc === null ? expect($read)->toThrow(WarmthException::class) : expect($read())->toBe((new DateTimeImmutable($utc))->getTimestamp());
})->with([
    ['2026-11-24 10:05', '2026-11-24T10:05:00Z'],
    ['2026-07-24 10:05:30', '2026-07-24T09:05:30Z'],
    ['2026-07-24T9:05', '2026-07-24T08:05:00Z'],
    ['2026-11-24 10:05:30.250', '2026-11-24T10:05:30Z'],
    ['2026-11-24 9:05 PM', '2026-11-24T21:05:00Z'],
    ['2026-11-24 12:05 a.m.', '2026-11-24T00:05:00Z'],
    ['2026-11-24 12:05 pm', '2026-11-24T12:05:00Z'],
    ['2026-07-24 10:05+00:00', '2026-07-24T10:05:00Z'],
    ['1795514700', '2026-11-24T10:05:00Z'],
    ['2026-03-29 00:59', '2026-03-29T00:59:00Z'],
    ['2026-03-29 01:30', null],
    ['2026-03-29 02:00', '2026-03-29T01:00:00Z'],
    ['2026-10-25 00:59', '2026-10-24T23:59:00Z'],
    ['2026-10-25 01:00', null],
    ['2026-10-25 01:59', null],
    ['2026-10-25 01:30+01:00', '2026-10-25T00:30:00Z'],
    ['2026-10-25 02:00', '2026-10-25T02:00:00Z'],
    ['2026-02-29 10:00', null],
    ['2026-11-24 24:05', null],
    ['2026-11-24 13:05 PM', null],
    ['2026-11-24 0:05 am', null],
    ['2026-11-24 10:75', null],
    ['2026-11-24', null],
    ['10:05', null],
    ['', null],
]);

it('says that the clocks showed a moment twice, or never', function (string $typed, string $says) {
    expect(fn () => Readings::moment($typed, new DateTimeZone('Europe/London')))->toThrow(WarmthException::class, $says);
})->with([
    ['2026-03-29 01:30', 'The clocks went past “2026-03-29 01:30” that night'],
    ['2026-10-25 01:30', 'The clocks showed “2026-10-25 01:30” twice that night'],
]);

it('takes a moment without a zone from nobody else', function () {
    expect(fn () => Readings::moment('2026-11-24 10:05'))->toThrow(WarmthException::class);
});
