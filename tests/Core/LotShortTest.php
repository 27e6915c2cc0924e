<?php

use Tests\Core\Support;

// What people write on a lid of how much is left, of what is frozen, and of vessels. All of it common practice, no source.

it('reads how much of it is there', function (string $line, array $lot) {
    expect(Support::lot($line))->toEqual($lot);
})->with([
    // Was a note, and no amount.
    ['olive oil, half a 5 L tin left', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2500 mL']],
    ['linden blossom - 1/2 of a 2 litre jar', ['kind' => 'herb', 'material' => 'linden-blossom', 'amount' => '1000 mL']],
    ['nettle, a third of a 900 mL jar', ['kind' => 'herb', 'material' => 'nettle-leaf', 'amount' => '300 mL']],
    // Was a herb called by the whole of it.
    ['olive 75 cl bottle half full', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '375 mL']],
    ['sesame 750 ml bottle 2/3 full', ['kind' => 'carrier', 'material' => 'sesame', 'amount' => '500 mL']],
    ['jojoba 250 ml bottle, 1/4 gone', ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '187.5 mL']],
    // The amount went into the note.
    ['castor oil 100ml (cold-pressed)', ['kind' => 'carrier', 'material' => 'castor', 'amount' => '100ml', 'note' => 'cold-pressed']],
    // Was a place called "100 mL - 12 GBP".
    ['argan oil - 100 mL - 12 GBP', ['kind' => 'carrier', 'material' => 'argan', 'amount' => '100 mL', 'price' => '12']],
    ['argan oil, 100 mL, EUR 8.50', ['kind' => 'carrier', 'material' => 'argan', 'amount' => '100 mL', 'price' => '8.50']],
    ['wool fat 100 g', ['kind' => 'wax', 'material' => 'lanolin', 'amount' => '100 g']],
    ['arrowroot 50 g', ['kind' => 'wax', 'material' => 'starch', 'amount' => '50 g']],
    // From 60 to 80 is one amount, and asked after.
    ['calendula - 60 g - 80 g', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '60 g - 80 g']],
    ['vodka 40% 70 cl', ['kind' => 'herb', 'called' => 'vodka', 'amount' => '70 cl', 'note' => '40%']],
    [
        'coconut oil 2 jars of 450g, one opened',
        ['kind' => 'carrier', 'material' => 'coconut', 'amount' => '2 x 450g', 'note' => 'one opened'],
    ],
    [
        'calendula petals, 250g, grown by us, harvested July 2026',
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '250g', 'got_how' => 'gathered', 'got_on' => '2026-07-01'],
    ],
    [
        'meadowsweet 80 g, dried 14 July 2026',
        ['kind' => 'herb', 'material' => 'meadowsweet', 'amount' => '80 g', 'state' => 'dried', 'note' => 'dried 14 July 2026'],
    ],
]);

it('takes what is frozen for fresh, wherever that stands', function (string $line, string $herb) {
    $lot = Support::lot($line);
    expect([$lot['material'] ?? null, $lot['state'] ?? null, $lot['note'] ?? null, $lot['amount'] ?? null])->toBe([
        $herb,
        'fresh',
        'frozen',
        '400 g',
    ]);
})->with([
    ['frozen sea buckthorn berries 400 g', 'sea-buckthorn'],
    ['deep-frozen basil, 400 g', 'basil'],
    ['poplar buds in the freezer 400 g', 'poplar-bud'],
    ['yarrow frozen 400 g', 'yarrow'],
    ['yarrow, frozen, 400 g', 'yarrow'],
]);

it('reads vessels of a size, whatever is said of them', function (string $line, array $lot) {
    expect(Support::lot($line))->toEqual($lot);
})->with([
    // Were herbs.
    ['tin 60ml with lids, 40 pcs', ['kind' => 'tin', 'amount' => '40', 'material' => '60ml']],
    ['jars 1L - 6', ['kind' => 'jar', 'material' => '1L jar', 'amount' => '6']],
    ['preserving jars 1L - 6', ['kind' => 'jar', 'material' => '1L jar', 'amount' => '6']],
    ['amber bottles 50 ml with pumps, 24', ['kind' => 'bottle', 'material' => '50 mL bottle', 'amount' => '24']],
]);
