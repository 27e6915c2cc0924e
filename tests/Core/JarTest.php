<?php

use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Tables;
use Kettle\Vessel\Filling;
use Kettle\Vessel\FillingException;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarException;
use Kettle\Vessel\Levels;

function only(HerbForm $form): HerbMix
{
    return HerbMix::of([new HerbPart(Herb::unlisted('some herb', $form->id), $form, 1.0, HerbMix::DRY_WATER)]);
}

/*
 * By hand, for 70 g of cut root (0.40 loose, 0.42 settled, 1.4 g/mL of its own) and 350 mL of oil in a
 * pint jar, 505 mL to the brim and 118 mm high:
 *   across   505 000 mm3 / 118 mm           = 4279.66 mm2
 *   dry      70 / 0.40 = 175 mL             = 175 000 / 4279.66    = 40.89 mm
 *   bed      70 / 0.42 = 166.667 mL         = 166 667 / 4279.66    = 38.94 mm
 *   level    350 + 70 / 1.4 = 400 mL        = 400 000 / 4279.66    = 93.47 mm
 *   cover    93.47 - 38.94                  = 54.52 mm
 *   headspace 118 - 93.47                   = 24.53 mm
 */
it('stands where the hand-worked example says', function () {
    $form = (new Cupboard(Tables::shipped()))->form('root');
    $levels = Levels::in(Jar::measured('', 'pint jar', 505, 118), only($form), 70, 350);
    expect($levels->dryFillMm)
        ->toEqualWithDelta(40.89, 0.01)
        ->and($levels->bedMm)
        ->toEqualWithDelta(38.94, 0.01)
        ->and($levels->levelMm)
        ->toEqualWithDelta(93.47, 0.01)
        ->and($levels->coverMm())
        ->toEqualWithDelta(54.52, 0.01)
        ->and($levels->headspaceMm())
        ->toEqualWithDelta(24.53, 0.01);
});

/*
 * The trade's reason for 1:9, common practice, no source: at 1:5 each gram reaches 5 + 1/1.2 = 5.83 mL,
 * while fluffy flowers make a bed of 1/0.105 = 9.52 mL and cut thin leaf one of 1/0.20 = 5.0 mL.
 */
it('shows why fluffy flowers want 1:9, or better 1:10, where cut leaf sits well at 1:5', function () {
    $cupboard = new Cupboard(Tables::shipped());
    $jar = Jar::measured('', 'quart', 1000, 163);
    $fluffy = $cupboard->form('fluffy-flower');
    $leaf = $cupboard->form('thin-leaf');
    expect(Levels::in($jar, only($fluffy), 10, 50)->coverMm())
        ->toBeLessThan(0)
        ->and(Levels::in($jar, only($fluffy), 10, 90)->coverMm())
        ->toBeGreaterThan(0)
        ->and(Levels::in($jar, only($leaf), 10, 50)->coverMm())
        ->toBeGreaterThan(0)
        ->and(only($fluffy)->usualParts(1.0))
        ->toBe(10.0)
        ->and(only($cupboard->form('flower-heads'))->usualParts(1.0))
        ->toBe(7.0)
        ->and(only($leaf)->usualParts(1.0))
        ->toBe(5.0);
});

it('fills to the headspace and no further, for every jar and form', function () {
    foreach ((new Cupboard(Tables::shipped()))->forms() as $form) {
        foreach ([[135, 65], [505, 118], [1980, 220]] as [$brim, $height]) {
            $jar = Jar::measured('', 'jar', $brim, $height);
            $most = Levels::mostHerb($jar, only($form), 7.0, 25);
            expect(Levels::in($jar, only($form), $most, $most * 7)->headspaceMm())->toEqualWithDelta(25.0, 1e-6);
        }
    }
});

it('never lowers the bed with more herb', function () {
    $form = (new Cupboard(Tables::shipped()))->form('twig');
    $jar = Jar::measured('', 'jar', 790, 150);
    $before = 0.0;
    for ($herb = 1; $herb < 150; $herb += 7) {
        $bed = Levels::in($jar, only($form), $herb, 500)->bedMm;
        expect($bed)->toBeGreaterThan($before);
        $before = $bed;
    }
});

it('refuses what is no jar', function (float $brim, float $height) {
    Jar::measured('', 'jar', $brim, $height);
})
    ->with([[0, 100], [-5, 100], [30000, 100], [500, 0], [500, 5000]])
    ->throws(JarException::class);

it('fills no more than there is', function () {
    $of = fn (float $ml, int $count) => Filling::of($ml, [['id' => 'a', 'capacity' => 50.0, 'count' => $count]]);
    expect($of(260, 5)->leftMl)
        ->toEqualWithDelta(10.0, 1e-9)
        ->and(fn () => $of(240, 5))
        ->toThrow(FillingException::class, 'was strained')
        ->and(fn () => $of(240, 0))
        ->toThrow(FillingException::class)
        ->and(fn () => $of(240, -1))
        ->toThrow(FillingException::class);
});
