<?php

use Kettle\Recipe\KitchenCard;
use Tests\Core\Support;

it('has what goes in, what is done and what to watch for, in the plan’s own words', function () {
    $kitchen = Support::kitchen();
    $plan = Support::planning()->plan(
        [
            'herbs' => [['id' => 'calendula', 'amount' => '20 g'], ['id' => 'self-heal', 'amount' => '10 g']],
            'oils' => ['olive', 'jojoba'],
            'method' => 'slow-cooker',
        ],
        $kitchen,
    );
    $document = Support::planning()->document($plan, $kitchen);
    $card = KitchenCard::of($document);
    expect(array_column($card->amounts, 'name'))
        ->toBe(['calendula, flower heads or petals, dried', 'self-heal, thin leaf, dried and cut', 'olive oil', 'jojoba'])
        ->and(array_column($card->amounts, 'amount'))
        ->toBe(['20 g', '10 g', $document['figures']['oil_volume.olive']['text'], $document['figures']['oil_volume.jojoba']['text']])
        ->and($card->amounts[2]['also'])
        ->toBe($document['figures']['oil_mass.olive']['text'])
        ->and($card->steps)
        ->toBe(array_column($document['steps'], 'says'))
        ->and($card->notes)
        ->toHaveCount(count($document['notes']));
    foreach ($card->notes as $i => $note) {
        expect($note['care'])->toBe(in_array($document['notes'][$i]['rank'], ['stop', 'care'], true));
    }
});

it('reads plans of before, that had one herb and no steps', function () {
    $card = KitchenCard::of([
        'name' => 'Sage in olive oil',
        'herb' => ['name' => 'sage', 'form_name' => 'thin leaf'],
        'oils' => [['id' => 'olive', 'name' => 'olive oil']],
        'figures' => ['herb_mass' => ['text' => '50 g'], 'oil_volume.olive' => ['text' => '250 mL']],
        'notes' => [],
    ]);
    expect($card->amounts)
        ->toBe([
            ['name' => 'sage, thin leaf', 'amount' => '50 g', 'also' => ''],
            ['name' => 'olive oil', 'amount' => '250 mL', 'also' => ''],
        ])
        ->and($card->steps)
        ->toBe([])
        ->and(KitchenCard::of([])->amounts)
        ->toBe([]);
});
