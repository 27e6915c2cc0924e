<?php

use Tests\Core\Support;

// How people write on a lid or in a list how many packets of how much there are, and what else stands there. All of it common
// practice, no source.

it('reads how much there is of what', function (string $line, array $lot) {
    expect(Support::lot($line))->toEqual($lot);
})->with([
    // It was a herb called "olive 2 bottles 750ml each".
    [
        'olive 2 bottles 750ml each best by 08/2027',
        ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 x 750ml', 'best_before' => '2027-08-31'],
    ],
    // Five of 28 g, and not one.
    ['beeswax blocks 5 x 28 g', ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '5 x 28 g']],
    ['beeswax, 2 bars, 100 g each', ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '2 x 100 g']],
    ['yellow beeswax 100 g', ['kind' => 'wax', 'material' => 'beeswax', 'amount' => '100 g']],
    ['carnauba flakes 50 g', ['kind' => 'wax', 'material' => 'carnauba', 'amount' => '50 g']],
    ['vitamin E 30ml natural', ['kind' => 'wax', 'material' => 'vitamin-e', 'amount' => '30ml', 'note' => 'natural']],
    [
        'rapeseed, cold pressed 2x1L, use by end of 2027',
        ['kind' => 'carrier', 'material' => 'rapeseed', 'amount' => '2x1L', 'best_before' => '2027-12-31', 'note' => 'cold pressed'],
    ],
    [
        'Olive oil, opened 1 Nov, about 600 ml left in a 1L bottle',
        ['kind' => 'carrier', 'material' => 'olive', 'opened_on' => '2026-11-01', 'amount' => '600 ml'],
    ],
    // The half pound was lost, and nothing said so.
    ['dried rosemary ½ lb', ['kind' => 'herb', 'material' => 'rosemary', 'amount' => '½ lb', 'state' => 'dried']],
    ['dried rosemary 1 ½ lb', ['kind' => 'herb', 'material' => 'rosemary', 'amount' => '1½ lb', 'state' => 'dried']],
    // June of 26, or the 26th: noted, and the amount is not lost with it.
    ['elderflower 30g dried 06/26', ['kind' => 'herb', 'material' => 'elderflower', 'amount' => '30g', 'note' => 'dried 06/26']],
    ['vodka 500 ml for moistening', ['kind' => 'herb', 'called' => 'vodka', 'amount' => '500 ml', 'note' => 'for moistening']],
]);

it('reads what stands empty as vessels', function (string $line, array $lot) {
    expect(Support::lot($line))->toEqual($lot);
})->with([
    ['jam jars, 20, 370ml', ['kind' => 'jar', 'material' => '370ml jar', 'amount' => '20']],
    ['6 x 250ml preserving jars', ['kind' => 'jar', 'material' => '250ml jar', 'amount' => '6']],
    ['40 tins 30 ml aluminium', ['kind' => 'tin', 'material' => '30 ml', 'amount' => '40']],
    ['empty dropper bottles 30 ml x 10', ['kind' => 'bottle', 'material' => '30 mL bottle', 'amount' => '10']],
]);

it('takes what is said of a thing for no place, and a day behind a place for the day', function (string $line, array $said) {
    $lot = Support::lot($line);
    expect(array_intersect_key($lot, ['got_where' => 1, 'got_on' => 1, 'got_how' => 1, 'note' => 1]))->toEqual($said);
})->with([
    ['plantain (leaf), 40 g', ['note' => 'leaf']],
    ['almond oil - sweet - 1 gallon', ['note' => 'sweet']],
    ['dried calendula (whole heads) 100g', ['note' => 'whole heads']],
    // The first of the month, by a guess.
    ['nettle leaf, 1lb, harvested may, dried', ['got_how' => 'gathered', 'got_on' => '2026-05-01']],
    ['comfrey root (own garden, dug October) 400 g', ['got_how' => 'gathered', 'got_on' => '2026-10-01', 'got_where' => 'own garden']],
    ['100 g linden, bought from the herb stall 12 October', ['got_how' => 'bought', 'got_on' => '2026-10-12', 'got_where' => 'herb stall']],
]);
