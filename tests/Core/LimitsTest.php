<?php

use Kettle\Ask\Questions;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Outcome;
use Kettle\Infusion\UptakeSpread;
use Kettle\Keeping\Keeping;
use Kettle\Keeping\StorageFacts;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\Packing;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Air;
use Kettle\Warmth\Band;
use Kettle\Warmth\Colour;
use Kettle\Warmth\Load;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotRun;
use Kettle\Warmth\StoveLog;
use Kettle\Warmth\StoveWatch;
use Kettle\Warmth\Sun;
use Kettle\Warmth\SunJar;
use Kettle\Warmth\WarmthException;
use Tests\Core\Support;

/* One step to either side of a limit, each by hand. */

$ask = fn (string $mode, array $question) => (new Questions(Tables::shipped()))->ask(
    $mode,
    $question,
    new DateTimeImmutable('2026-11-24T10:00:00Z'),
);
$refusal = function (Closure $of): string {
    try {
        $of();
    } catch (RefusedException $refused) {
        return $refused->getMessage();
    }

    return 'not refused';
};

it('says what came out as a share of what was expected', function (float $got, string $says) {
    expect(Support::said(Outcome::of($got, 450.0, 50.0, ['low' => 350.0, 'value' => 400.0, 'high' => 420.0])->says()))->toStartWith($says);
})->with([
    [300.0, '75 % of what was expected, below the range.'],
    [350.0, '88 % of what was expected, within the range.'],
    [420.0, '105 % of what was expected, within the range.'],
    [440.0, '110 % of what was expected, above the range.'],
]);

it('takes the trade’s figure for usual up to three batches, and the median of four', function () {
    $spread = UptakeSpread::of(Tables::shipped());
    // Of 1, 1.2, 1.4 and 9 the median is 1.3; they lie 0.3, 0.1, 0.1 and 7.7 from it, of which the median is 0.2.
    expect($spread->middle([1.0, 1.2, 9.0], 1.5))
        ->toBe([1.5, $spread->house])
        ->and($spread->middle([1.0, 1.2, 1.4, 9.0], 1.5))
        ->toEqualWithDelta([1.3, 1.4826 * 0.2], 1e-9);
});

it('says which school there is not', function () use ($refusal) {
    $method = Methods::of(Tables::shipped())->method('cold');
    expect($refusal(fn () => $method->variant('moon phases')))->toContain('has no school called “moon phases”');
});

it('names a seller’s day only where it comes first', function () {
    $rules = fn (string $day) => array_map(
        fn ($reason) => $reason->rule,
        Keeping::of(
            Blend::of([['carrier' => (new Cupboard(Tables::shipped()))->carrier('sunflower'), 'parts' => 1.0]]),
            State::Dried,
            new StorageFacts(
                new DateTimeImmutable('2026-10-01T10:00:00Z'),
                new DateTimeImmutable('2026-10-29T10:00:00Z'),
                lots: ['sunflower' => ['opened' => null, 'best_before' => new DateTimeImmutable($day)]],
            ),
            Tables::shipped(),
        )->figure()->reasons,
    );
    // Six months from the day that it was poured end on 31 March 2027.
    expect($rules('2027-03-30'))->toContain('keeps-lot')->and($rules('2027-03-31'))->not->toContain('keeps-lot');
});

it('says the water of wilted herb rounded', function (float $water, int $says) {
    $day = new DateTimeImmutable('2026-10-01T10:00:00Z');
    $keeping = Keeping::of(
        Blend::of([['carrier' => (new Cupboard(Tables::shipped()))->carrier('jojoba'), 'parts' => 1.0]]),
        State::Wilted,
        new StorageFacts($day, $day, water: $water, watery: false),
        Tables::shipped(),
    );
    expect(
        array_column(array_map(fn ($reason) => [$reason->rule, $reason->inputs], $keeping->figure()->reasons), 1, 0)['keeps-damp']['water'],
    )->toEqual($says);
})->with([[0.124, 12], [0.126, 13], [0.96, 96]]);

it('cuts a word of a fault at two hundred letters', function () use ($ask) {
    $said = fn (string $word) => json_encode(
        $ask('faults', ['signs' => ['cloudy'], 'facts' => ['water-in-herb' => ['herb' => $word], 7 => ['x' => 'y']]]),
    );
    expect($said(str_repeat('a', 200)))->toBe($said(str_repeat('a', 200).'b'));
});

it('lets a pot evaporate up to the boil, and boil at it', function () {
    // 500 W into a shut pot that loses 1 W/K to a room of 20: at 100 C 420 W are left over, 0.186 g a second.
    $pot = Pot::of(['watts' => 500.0, 'loss_w_per_k' => 1.0, 'water_kg' => 1.0, 'open_m2' => 0.0, 'room_c' => 20.0]);
    expect($pot->losesAt($pot->boilsAt() - 0.5))
        ->toBe(0.0)
        ->and($pot->losesAt($pot->boilsAt()))
        ->toEqualWithDelta(420 / 2_256_400, 2e-6);
});

it('reads a run of one minute between its two points', function () {
    $pot = Pot::of([
        'watts' => 100.0,
        'loss_w_per_k' => 1.0,
        'water_kg' => 1.0,
        'vessel_j_per_k' => 0.0,
        'open_m2' => 0.0,
        'room_c' => 20.0,
    ]);
    $end = PotRun::of($pot, 60 / 3600)->at(60, 'water');
    expect($end)
        ->toEqualWithDelta(20 + 100 * (1 - exp(-60 / 4186)), 0.01)
        ->and(PotRun::of($pot, 60 / 3600)->at(30, 'water'))
        ->toEqualWithDelta((20 + $end) / 2, 1e-6);
});

it('tells the minutes over the ceiling to the hundredth, and takes water at freezing', function () use ($ask) {
    $band = ['low' => 43, 'target' => 49, 'ceiling' => 60];
    // A hundred seconds over: 1.67 minutes.
    expect(
        $ask('warm-hours', [
            'readings' => [['at' => 1_795_514_400, 'c' => 61], ['at' => 1_795_514_500, 'c' => 61]],
            'band' => $band,
            'planned_h' => 8,
        ])['over_min'],
    )->toBe(1.67);
    $pot = fn (float $poured) => fn () => $ask('pot', [
        'watts' => 400,
        'loss_w_per_k' => 1.5,
        'water_kg' => 2.5,
        'hours' => 1,
        'poured_c' => $poured,
    ]);
    expect($pot(0.0)()['path'][0]['water_c'])->toEqual(0.0);
});

it('says how high a kitchen may lie', function () use ($refusal) {
    expect($refusal(fn () => Air::pressure(6500.4)))->toStartWith('6500 m is no height');
});

it('will not trust a card that is dark in one colour', function () {
    expect(fn () => Colour::sRgb([100.0, 100.0, 100.0], [20.0, 250.0, 250.0]))->toThrow(WarmthException::class);
});

it('writes down the floor that a load stands on to the square millimetre', function () {
    expect(Load::of(['j_per_k' => 900, 'w_per_k' => 3, 'floor_m2' => 0.0050265482, 'depth_mm' => 90, 'poured_c' => 45])->toArray())->toBe([
        'j_per_k' => 900.0,
        'w_per_k' => 3.0,
        'floor_m2' => 0.005027,
        'depth_mm' => 90.0,
        'poured_c' => 45.0,
    ]);
});

it('holds the water where the lightest jar would lift', function (float $bears, bool $held) {
    // A jar of 74 mm, 80 over its glass and 124 high, in water to 104 mm: what it weighs says at which depth it floats.
    $cooker = Cooker::measured('a', 'deep', 'round', 240, 240, 220);
    $want =
        124 -
        (124 -
            WaterBath::of($cooker, [
                [
                    'called' => 'jar',
                    'brim_ml' => 505.0,
                    'height_mm' => 118.0,
                    'diameter_mm' => 74.0,
                    'level_mm' => 90.0,
                    'bed_mm' => 0.0,
                    'contents_g' => 5000.0,
                ],
            ])->fullMm);
    $grams = ((($bears * $want * 0.988 * M_PI) / 4) * 80 ** 2) / 1000;
    $bath = WaterBath::of($cooker, [
        [
            'called' => 'jar',
            'brim_ml' => 505.0,
            'height_mm' => 118.0,
            'diameter_mm' => 74.0,
            'level_mm' => 90.0,
            'bed_mm' => 0.0,
            'contents_g' => $grams - WaterBath::glassG(74.0, 118.0),
        ],
    ]);
    expect($bath->heldByFloating)
        ->toBe($held)
        ->and($bath->fullMm)
        ->toEqualWithDelta($held ? 0.9 * $bears * $want : $want, 1e-6);
})->with([[1.0, true], [1.1, true], [1.12, false]]);

it('keeps square corners in, and turns a jar back from the nearer wall', function () {
    $square = Cooker::measured('a', 'tin', 'square', 200, 160, 100);
    expect($square->outside(70.0, 50.0, 30.0))
        ->toEqual([0.0, 0.0, 0.0])
        ->and($square->outside(75.0, 0.0, 30.0))
        ->toEqual([5.0, -1.0, 0.0])
        ->and($square->outside(-75.0, 0.0, 30.0))
        ->toEqual([5.0, 1.0, 0.0])
        ->and($square->outside(0.0, 58.0, 30.0))
        ->toEqual([8.0, 0.0, -1.0])
        ->and($square->outside(0.0, -58.0, 30.0))
        ->toEqual([8.0, 0.0, 1.0]);
});

it('stands as many circles in a round as are known to fit', function (int $count, float $ratio) {
    // Circles in a circle: the container over the circle, 2, 2.1547, 2.4142, 2.7013, 3 and 3 (known packings, from memory;
    // a hundredth of slack).
    $cooker = Cooker::measured('a', 'round', 'round', 300, 300, 100);
    expect(Packing::place($cooker, array_fill(0, $count, (300 / $ratio) * 0.985)))
        ->not->toBeNull()
        ->and(Packing::place($cooker, array_fill(0, $count, (300 / $ratio) * 1.01)))
        ->toBeNull();
})->with([[2, 2.0], [3, 2.1547], [4, 2.4142], [5, 2.7013], [6, 3.0], [7, 3.0]]);

it('says too cold under the band, and not at it', function () {
    $band = Band::of(43, 49, 60);
    $said = function (float $celsius) use ($band): array {
        $log = StoveLog::of($band, 0.03, 1.0);
        $log->take(0, 49.0, 0);
        $log->take(36_000, $celsius, 0);

        return array_column(
            (new StoveWatch($band, fn (float $c) => "{$c}"))->alarms(
                [
                    'now' => 36_000,
                    'on' => true,
                    'switched_at' => 0,
                    'shaken_at' => 36_000,
                    'shake_every_s' => null,
                    'by_eye' => true,
                    'dry' => false,
                    'water_ml' => null,
                    'low_ml' => 1500.0,
                    'loses_ml_s' => 0.0,
                ],
                $log,
                [],
            ),
            'id',
        );
    };
    expect($said(43.0))->not->toContain('too-cold')->and($said(42.9))->toContain('too-cold');
});

it('loses no water to frost', function () {
    $log = StoveLog::of(Band::of(43, 49, 60), 0.03, 1.0);
    $log->take(0, -0.5, 0);
    $log->take(600, -0.5, 0);
    expect($log->lostSinceFill(600))->toBe(0.0);
});

it('moves the sun by less than half a degree from noon to noon', function () {
    $sun = Sun::over(0.0, 0.0);
    // The declination changes by 0.40 degrees a day at the most (the obliquity over the year's turn).
    for (
        $day = new DateTimeImmutable('2015-09-25T12:00:00Z');
        $day < new DateTimeImmutable('2015-10-25T12:00:00Z');
        $day = $day->modify('+1 day')
    ) {
        expect(abs($sun->position($day->modify('+1 day'))['height'] - $sun->position($day)['height']))->toBeLessThan(
            0.5,
            $day->format('d M'),
        );
    }
});

it('lets a jar out of doors follow the air, hour by hour', function () {
    $jar = ['diameter_mm' => 74.0, 'level_mm' => 90.0, 'oil_kg' => 0.35, 'herb_kg' => 0.05, 'glass_kg' => 0.25];
    $day = fn (float $low, float $high) => SunJar::of(Sun::over(55.0, 0.0), $jar, null, false, 18.0)->through([
        ['day' => new DateTimeImmutable('2026-06-21T00:00:00Z'), 'cloud' => 1.0, 'low_c' => $low, 'high_c' => $high],
    ])[0];
    // Half way between and the swing about it: nowhere near the sum of the two.
    expect($day(10.0, 20.0)['path'])
        ->toHaveCount(24)
        ->and($day(10.0, 20.0)['peak_c'])
        ->toBeGreaterThan(15.0)
        ->toBeLessThan(32.0)
        ->and($day(12.0, 22.0)['peak_c'])
        ->toEqualWithDelta($day(10.0, 20.0)['peak_c'] + 2, 0.1);
});
