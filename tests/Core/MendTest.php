<?php

use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Melt\MeltException;
use Kettle\Melt\Mend;
use Tests\Core\Melted;

function mend(float $mass, float $from, float $to, string $with = 'beeswax', ?float $room = null): Mend
{
    return Mend::of($mass, $from, $to, (new Cupboard(Tables::shipped()))->wax($with), $room);
}

// Mass balance by hand.
it('mends by mass balance', function (array $asked, array $figures) {
    $answer = Melted::ask($asked, 'mend')['figures'];
    foreach ($figures as $id => $value) {
        expect($answer[$id]['value'])->toEqualWithDelta($value, 0.01, $id);
    }
})->with([
    // 322 (0.21 - 0.17) / (1 - 0.21)
    'wax' => [
        ['mass' => '322 g', 'share' => 0.17, 'to' => 0.21],
        ['add_wax' => 16.3, 'add_oil' => 0, 'take_out' => 0, 'total_mass' => 338.3],
    ],
    // 100 (0.25 / 0.2 - 1)
    'oil' => [['mass' => 100, 'share' => 0.25, 'to' => 0.2], ['add_wax' => 0, 'add_oil' => 25, 'take_out' => 0, 'total_mass' => 125]],
    // Candelilla counts two: 100 (0.2 - 0.15) / (2 - 0.2)
    'a harder wax' => [['mass' => 100, 'share' => 0.15, 'to' => 0.2, 'with' => 'candelilla'], ['add_wax' => 2.78]],
    'three grams on the spoons' => [['mass' => '325 g', 'spoon' => '3 g', 'share' => 0.17, 'to' => 0.21], ['add_wax' => 16.3]],
    'nothing to do' => [
        ['mass' => 100, 'share' => 0.2, 'to' => 0.2],
        ['add_wax' => 0, 'add_oil' => 0, 'take_out' => 0, 'total_mass' => 100],
    ],
    // Plainly too soft is 0.04: 322 (0.21 - 0.17) / (1 - 0.21).
    'by the spoon' => [['mass' => '322 g', 'share' => 0.17, 'verdict' => 'too-soft'], ['add_wax' => 16.3]],
    'a little hard' => [['mass' => 100, 'share' => 0.22, 'verdict' => 'too-hard', 'by' => 'a-little'], ['add_oil' => 10.0]],
    'right' => [['mass' => 100, 'share' => 0.22, 'verdict' => 'right'], ['add_oil' => 0, 'add_wax' => 0]],
    // A word is the middle of its band: salve 0.17.
    'by a word' => [['mass' => 100, 'share' => 0.25, 'to' => 'salve'], ['add_oil' => 47.06]],
]);

it('keeps mass and hardness at every mend, and comes back', function () {
    mt_srand(19);
    $waxes = ['beeswax' => 1.0, 'candelilla' => 2.0, 'carnauba' => 2.5, 'rice-bran-wax' => 1.5];
    for ($i = 0; $i < 500; $i++) {
        $with = array_keys($waxes)[mt_rand(0, 3)];
        [$mass, $from, $to] = [mt_rand(10, 20000) / 10, mt_rand(20, 450) / 1000, mt_rand(20, 450) / 1000];
        $room = [null, mt_rand(0, 2000) / 10][$i % 2];
        $mend = mend($mass, $from, $to, $with, $room);
        $kept = $mass - $mend->takeOutG;
        expect($mend->totalG())
            ->toEqualWithDelta($kept + $mend->addWaxG + $mend->addOilG, 1e-9)
            ->and($mend->firmness())
            ->toEqualWithDelta($to, 1e-9)
            ->and(($kept * $from + $mend->addWaxG * $waxes[$with]) / $mend->totalG())
            ->toEqualWithDelta($to, 1e-9);
        if ($room !== null) {
            // What goes in fits in the room there was and what was taken out made.
            $takes = $mend->addWaxG / (new Cupboard(Tables::shipped()))->wax($with)->gramsPerMl + $mend->addOilG / 0.915;
            $made = $mend->takeOutG / 0.9 + $room;
            expect($takes)->toBeLessThan($made + $mend->takeOutG * 0.4 + 1e-6);
            expect($mend->takeOutG)->toBeLessThanOrEqual($mass);
        }
        expect(mend($mend->totalG(), $to, $from, $with)->firmness())->toEqualWithDelta($from, 1e-9);
    }
});

/*
 * A full jar takes no oil: 100 g at 0.25 to 0.2 wants 25 g of oil, 27.3 mL; with 10 mL of room, r g out make r/0.9258 mL
 * (a quarter wax at 0.96, the rest oil at 0.915) and leave (100 - r)/4 g to go in: r/0.9258 + 10 = (100 - r)/3.66, r = 12.80.
 */
it('says what must be taken out first', function () {
    $answer = Melted::ask(['mass' => 100, 'share' => 0.25, 'to' => 0.2, 'room_ml' => 10], 'mend')['figures'];
    $density = 1 / 1.0805;
    $out = (27.322 - 10) / (1 / 0.92585 + 0.27322);
    expect($answer['take_out']['value'])
        ->toEqualWithDelta($out, 0.08)
        ->and($answer['add_oil']['value'])
        ->toEqualWithDelta((100 - $out) / 4, 0.05)
        ->and($density)
        ->toBeLessThan(1);
    expect(Melted::ask(['mass' => 100, 'share' => 0.25, 'to' => 0.2, 'room_ml' => 40], 'mend')['figures']['take_out']['value'])->toBe(0.0);
});

it('refuses a mend that cannot be', function (array $asked, string $fault) {
    expect(Melted::faults($asked, 'mend'))->toBe([$fault]);
})->with([
    'of nothing' => [['mass' => 0, 'share' => 0.2, 'to' => 0.3], 'mass: out_of_range'],
    'all on the spoon' => [['mass' => 3, 'spoon' => 3, 'share' => 0.2, 'to' => 0.3], 'mass: out_of_range'],
    'firmer than the wax' => [['mass' => 100, 'share' => 0.2, 'to' => 0.5, 'with' => 'soy-wax'], 'to: not_so_firm'],
    'as soft as oil' => [['mass' => 100, 'share' => 0.2, 'to' => 0], 'to: out_of_range'],
    'over one' => [['mass' => 100, 'share' => 1.2, 'to' => 0.2], 'share: out_of_range'],
    'below nought' => [['mass' => 100, 'share' => 0.2, 'to' => -0.1], 'to: out_of_range'],
    'a word nobody knows' => [['mass' => 100, 'share' => 'rubbery', 'to' => 0.2], 'share: unknown'],
    'a wax nobody knows' => [['mass' => 100, 'share' => 0.2, 'to' => 0.3, 'with' => 'ear-wax'], 'with: unknown'],
    'nothing said of where to' => [['mass' => 100, 'share' => 0.2], 'to: missing'],
    'softer than oil' => [['mass' => 100, 'share' => 0.03, 'verdict' => 'too-hard', 'by' => 'far'], 'to: out_of_range'],
    'a room nobody can read' => [['mass' => 100, 'share' => 0.2, 'to' => 0.3, 'room' => 'a bit'], 'room: unreadable'],
    'a mass nobody can read' => [['mass' => 'some', 'share' => 0.2, 'to' => 0.3], 'mass: unreadable'],
]);

it('will not reckon what is no number', function () {
    mend(NAN, 0.1, 0.2);
})->throws(MeltException::class);
