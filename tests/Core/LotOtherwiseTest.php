<?php

use Tests\Core\Support;

/*
 * Lids as people write them. Common practice, no source; what is expected was written by hand.
 */

it('reads a lid that is written otherwise', function (string $line, array $lot) {
    expect(Support::lot($line))->toEqual($lot);
})->with([
    // Was an oil, and so no herb of the house.
    ['dried rosehips 200 g', ['kind' => 'herb', 'material' => 'rose-hip', 'amount' => '200 g', 'state' => 'dried']],
    ['rosehip 200 g', ['kind' => 'herb', 'material' => 'rose-hip', 'amount' => '200 g']],
    ['rosehip 30 ml', ['kind' => 'carrier', 'material' => 'rosehip-seed', 'amount' => '30 ml']],
    ['rosehip oil 200 g', ['kind' => 'carrier', 'material' => 'rosehip-seed', 'amount' => '200 g']],
    // Was plain olive oil, without what is in it.
    ['calendula oil infused in olive 100ml', ['kind' => 'carrier', 'called' => 'calendula oil infused in olive', 'amount' => '100ml']],
    // Was one of the two.
    ['olive oil (extra virgin) 2 x 750 ml', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 x 750 ml']],
    ['olive oil (organic) 2 x 500 ml', ['kind' => 'carrier', 'material' => 'olive', 'amount' => '2 x 500 ml']],
    // Lost its amount.
    [
        'sunflower oil 1 litre bottle cost £2.50 best before 12/2026',
        ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 litre', 'price' => '2.50', 'best_before' => '2026-12-31'],
    ],
    ['sunflower oil 1 litre paid 2.50', ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 litre', 'price' => '2.50']],
    // Were herbs called so.
    ['tins 60 ml (12) and lids', ['kind' => 'tin', 'material' => '60 ml', 'amount' => '12']],
    ['12 tins 60 ml and lids', ['kind' => 'tin', 'material' => '60 ml', 'amount' => '12']],
    // Told twice.
    ['2 jars honey 454 g', ['kind' => 'addition', 'material' => 'honey', 'amount' => '454 g', 'note' => '2 jars honey']],
]);
