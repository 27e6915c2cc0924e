<?php

use Kettle\Reason\Note;
use Kettle\Recipe\WishException;
use Tests\Core\Melted;
use Tests\Core\Support;

/** @return array<string, mixed> the first fault of a wish */
function heedFault(array $wish): array
{
    try {
        Support::planning()->plan($wish, Support::kitchen());
    } catch (WishException $refused) {
        return $refused->faults[0];
    }

    return ['reason' => '', 'field' => '', 'ways' => [], 'sentence' => ''];
}

// Written out by hand: the tree nuts and the peanut of Regulation (EU) 1169/2011, Annex II, from memory; candlenut by its name.
it('bars every nut there is, and no other oil', function () {
    $cupboard = Support::planning()->cupboard();
    $barred = array_keys(array_filter($cupboard->carriers(), $cupboard->heed('nuts')->barsOil(...)));
    sort($barred);
    expect($barred)->toBe(['groundnut', 'hazelnut', 'kukui', 'macadamia', 'pistachio', 'sweet-almond', 'walnut']);
    foreach (['coconut', 'coconut-fractionated', 'shea', 'argan', 'olive'] as $other) {
        expect($barred)->not->toContain($other);
    }
    $doubted = array_keys(array_filter($cupboard->carriers(), $cupboard->heed('nuts')->doubtsOil(...)));
    sort($doubted);
    expect($doubted)->toBe(['apricot-kernel', 'argan', 'cherry-kernel', 'coconut', 'shea']);
});

// Common practice, no source, but for camphor and cineole, which Tisserand and Young keep from a small child, from memory.
it('keeps from a child what is told of as dangerous, however it is told', function () {
    $cupboard = Support::planning()->cupboard();
    $child = $cupboard->heed('child');
    foreach (['eucalyptus', 'comfrey-leaf', 'wormwood'] as $id) {
        expect($child->barsHerb($cupboard->herb($id), false))->toBeTrue($id);
    }
    foreach (['calendula', 'chamomile', 'self-heal'] as $id) {
        expect($child->barsHerb($cupboard->herb($id), false))->toBeFalse($id);
    }
    // In a kitchen a herb is eaten by the pinch: told, and not barred.
    expect($child->barsHerb($cupboard->herb('rosemary'), true))
        ->toBeFalse()
        ->and($child->doubtsHerb($cupboard->herb('rosemary'), true))
        ->toBeTrue();
});

it('refuses what is barred, and offers what leads out', function () {
    $fault = heedFault(['herb' => ['id' => 'calendula'], 'oils' => ['sweet-almond'], 'heed' => ['nuts']]);
    expect([$fault['reason'], $fault['field']])
        ->toBe(['barred', 'heed'])
        ->and(array_column($fault['ways'], 'id'))
        ->toBe(['other-oil', 'no-heed']);
    foreach ($fault['ways'] as $way) {
        expect(
            heedFault($way['change'] + ['herb' => ['id' => 'calendula'], 'oils' => ['sweet-almond'], 'heed' => ['nuts']])['reason'],
        )->toBe('');
    }
    // Of a blend only what is barred gives way, and the parts stay.
    $fault = heedFault([
        'herb' => ['id' => 'calendula'],
        'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'walnut', 'parts' => '1']],
        'heed' => ['nuts'],
    ]);
    $oils = $fault['ways'][0]['change']['oils'];
    expect([$oils[0]['id'], $oils[0]['parts'], $oils[1]['parts']])
        ->toBe(['olive', '75', '25'])
        ->and($oils[1]['id'])
        ->not->toBe('walnut');
    expect(heedFault(['herb' => ['id' => 'arnica'], 'oils' => ['olive'], 'heed' => ['food']])['reason'])
        ->toBe('barred')
        ->and(heedFault(['herb' => ['id' => 'propolis'], 'oils' => ['olive'], 'heed' => ['bee']])['reason'])
        ->toBe('barred')
        ->and(heedFault(['herb' => ['name' => 'harbour weed'], 'oils' => ['olive'], 'heed' => ['giving']])['reason'])
        ->toBe('barred')
        ->and(heedFault(['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'heed' => ['soap']])['field'])
        ->toBe('heed');
});

it('says it in the sentence, raises what is to be heeded, and bars no plain wish', function () {
    $plan = Support::plan(['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'heed' => ['giving', 'nuts']]);
    expect(Support::said($plan->sentenceText()))
        ->toContain('for the skin, without nuts and to give away, flower heads')
        ->and(array_map(fn (Note $note) => $note->id, $plan->notes))
        ->toContain('without-nuts', 'to-give')
        ->and(array_map(fn (Note $note) => $note->id, Support::plan(['herb' => ['id' => 'calendula'], 'oils' => ['olive']])->notes))
        ->not->toContain('without-nuts', 'to-give');
});

it('makes a product of what is not barred by itself, and stops what was chosen and is', function (array $asked, string $says, array $ids) {
    $answer = Melted::ask($asked);
    $stops = array_values(array_filter($answer['cautions'], fn (array $note) => $note['rank'] === 'stop'));
    expect(implode('', array_column($answer['sentence'], 'text')))->toContain($says)->and(array_column($stops, 'id'))->toBe($ids);
})->with([
    [['product' => 'salve', 'heed' => ['bee']], 'with candelilla wax, without bee products', []],
    [['product' => 'salve', 'waxes' => ['beeswax'], 'heed' => ['bee']], 'with beeswax', ['barred-bee']],
    [['product' => 'lip-balm', 'heed' => ['food']], 'with beeswax and 15 % cocoa butter, of food only', []],
    [['product' => 'balm', 'butters' => [['id' => 'shea', 'share' => 0.15]], 'heed' => ['food']], 'shea', ['barred-food']],
    [['product' => 'body-oil', 'oils' => ['sweet-almond'], 'heed' => ['nuts']], 'sweet almond', ['barred-nuts']],
    [['product' => 'body-oil', 'heed' => ['nuts']], 'without nuts', []],
    [['product' => 'hair-oil', 'heed' => ['food', 'nuts']], 'without nuts and of food only', []],
    [['product' => 'salve', 'for' => ['child'], 'heed' => ['bee']], 'for a small child, without bee products.', []],
    // For a child its scents have a child's limits as well.
    [
        ['product' => 'salve', 'essential_oils' => [['id' => 'peppermint', 'percent' => 0.2]], 'heed' => ['child']],
        'for a small child',
        ['scent-child'],
    ],
]);
