<?php

use Kettle\Share\MadeOf;
use Tests\Core\Support;

// What is made of a plant is not the plant: common practice, no source. Written out by hand, not read from the code.
it('infuses no extract, tincture or water of a plant for the plant', function (string $named) {
    $told = implode(' ', Support::sentence("calendula in olive, 20 mL {$named}")['guesses']);
    $read = Support::pasted("50 g dried calendula\n300 mL olive oil\n20 mL {$named}\na splash of {$named}");
    expect(Support::sentence("calendula in olive, 20 mL {$named}")['wish']['herbs'])
        ->toBe([['id' => 'calendula']])
        ->and($told)
        ->toContain("“{$named}” is no oil to infuse in.")
        ->and(Support::takenAs($read))
        ->toBe(['herb', 'oil', 'unread', 'unread'])
        ->and(array_column((array) $read->wish['herbs'], 'id'))
        ->toBe(['calendula']);
})->with([
    'rosemary extract',
    'rosemary antioxidant',
    'rosemary oleoresin',
    'yarrow tincture',
    'lavender hydrosol',
    'lavender flower water',
    'horsetail vinegar',
    'elderberry syrup',
    'ginger juice',
    'nettle glycerite',
    'lavender honey',
    'jasmine absolute',
    'lavender essential oil',
]);

it('counts no herb by drops, and takes a share of vitamin E for vitamin E', function () {
    $drops = Support::sentence('calendula in olive, 10 drops of lavender');
    $share = Support::sentence('calendula in olive with 1% vitamin E');
    expect($drops['wish']['herbs'])
        ->toBe([['id' => 'calendula']])
        ->and($drops['guesses'])
        ->toBe(['“10 drops of lavender” is counted by drops, and is no herb to infuse: it goes in at the end.'])
        ->and($share['wish']['oils'])
        ->toBe([['id' => 'olive']])
        ->and($share['guesses'])
        ->toHaveCount(1)
        ->and(Support::sentence('calendula in olive plus castor')['wish']['oils'])
        ->toBe([['id' => 'olive'], ['id' => 'castor']]);
});

it('puts into Stores what is made of a plant as that', function (string $line, array $lot) {
    expect(Support::lot($line))->toBe($lot);
})->with([
    ['lavender hydrosol 100 ml', ['kind' => 'addition', 'material' => 'hydrosol', 'amount' => '100 ml', 'note' => 'lavender hydrosol']],
    [
        'lavender flower water 200 ml',
        ['kind' => 'addition', 'material' => 'hydrosol', 'amount' => '200 ml', 'note' => 'lavender flower water'],
    ],
    ['distilled water 1 l', ['kind' => 'addition', 'material' => 'water', 'amount' => '1 l', 'note' => 'distilled water']],
    ['horsetail vinegar 100 ml', ['kind' => 'addition', 'material' => 'vinegar', 'amount' => '100 ml', 'note' => 'horsetail vinegar']],
    ['calendula tincture 50 ml', ['kind' => 'addition', 'called' => 'calendula tincture', 'amount' => '50 ml']],
    ['calendula 20 ml tincture', ['kind' => 'addition', 'called' => 'calendula tincture', 'amount' => '20 ml']],
    ['lavender 10 ml essential oil', ['kind' => 'scent', 'material' => 'lavender', 'amount' => '10 ml']],
    // By the small bottle it is the scent; by weight, and by the litre, the herb.
    ['lavender 10 ml', ['kind' => 'scent', 'material' => 'lavender', 'amount' => '10 ml']],
    ['lavender 500 g', ['kind' => 'herb', 'material' => 'lavender', 'amount' => '500 g']],
    ['lavender 1 l', ['kind' => 'herb', 'material' => 'lavender', 'amount' => '1 l']],
    ['calendula 50 g, use by 2027-03', ['kind' => 'herb', 'material' => 'calendula', 'amount' => '50 g', 'best_before' => '2027-03-31']],
    [
        'calendula, 50g, home grown, dried July 2026',
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '50g', 'got_how' => 'gathered', 'note' => 'dried July 2026'],
    ],
    // What stands behind the amount without a comma is not lost with it.
    ['nettle leaf 200g LOT 44A', ['kind' => 'herb', 'material' => 'nettle-leaf', 'amount' => '200g', 'note' => 'LOT 44A']],
    [
        'jojoba 100ml opened 3 Nov 2026 best before 06/2027',
        ['kind' => 'carrier', 'material' => 'jojoba', 'amount' => '100ml', 'opened_on' => '2026-11-03', 'best_before' => '2027-06-30'],
    ],
    [
        'comfrey root 200g £6.20 from Hillside Herbs',
        ['kind' => 'herb', 'material' => 'comfrey-root', 'amount' => '200g', 'price' => '6.20', 'got_where' => 'Hillside Herbs'],
    ],
    ['nettle, 100 g, batch 2231', ['kind' => 'herb', 'material' => 'nettle-leaf', 'amount' => '100 g', 'note' => 'batch 2231']],
    ['50 g (1.75 oz) dried nettle', ['kind' => 'herb', 'material' => 'nettle-leaf', 'amount' => '50 g', 'state' => 'dried']],
    // By the name that labels have, and one oil for no other.
    ['Helianthus annuus (sunflower) seed oil 1 l', ['kind' => 'carrier', 'material' => 'sunflower', 'amount' => '1 l']],
    ['coconut oil (fractionated) 500 ml', ['kind' => 'carrier', 'material' => 'coconut-fractionated', 'amount' => '500 ml']],
    ['vitamin E oil 30 ml', ['kind' => 'wax', 'material' => 'vitamin-e', 'amount' => '30 ml']],
    [
        'calendula 50 g, bought 2025',
        ['kind' => 'herb', 'material' => 'calendula', 'amount' => '50 g', 'got_how' => 'bought', 'note' => '2025'],
    ],
]);

it('leaves every plant the plant it is, by each of its names', function () {
    $herbs = Support::kitchen()->cupboard()->herbs();
    expect($herbs)->not->toBe([]);
    foreach ($herbs as $herb) {
        foreach ([$herb->name, $herb->latin, ...$herb->also] as $name) {
            expect(MadeOf::is((string) $name))->toBeFalse((string) $name);
        }
    }
});
