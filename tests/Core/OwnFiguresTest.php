<?php

use Kettle\Ask\Questions;
use Kettle\Material\Cupboard;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\Tables;
use Kettle\Measure\MeasureSystem;

/**
 * One field of a thing of a house's own as it is typed: what is kept of it, or the sentence that it is refused with.
 *
 * @param  array<string, mixed>  $document
 */
function ownTyped(string $field, mixed $typed, array $document, MeasureSystem $custom = MeasureSystem::Us): mixed
{
    try {
        return (new OwnReader(new Cupboard(Tables::shipped()), true, $custom))->read(
            ['name' => 'wick stuff', $field => $typed] + $document,
        )->fields[$field];
    } catch (OwnException $refused) {
        return implode(' ', array_column(array_filter($refused->faults, fn (array $fault) => $fault['field'] === $field), 'sentence'));
    }
}

/** How little the two may be apart to be one figure. */
function ownFigure(mixed $kept, float $meant): void
{
    expect($kept)->toBeFloat()->and((float) $kept)->toEqualWithDelta($meant, 0.006);
}

/* What a bottle, a sheet or a cook writes. Factors: NIST SP 811, appendix B.8 and NIST Handbook 44, appendix C, from memory. */
it('reads a figure with its unit or without', function (array $document, string $field, string $typed, float $meant) {
    ownFigure(ownTyped($field, $typed, $document), $meant);
})->with([
    [['kind' => 'plant', 'form' => 'root'], 'water', '80%', 80.0],
    [['kind' => 'plant', 'form' => 'root'], 'water', 'about 80 per cent', 80.0],
    [['kind' => 'plant', 'form' => 'root'], 'water', '85,5', 85.5],
    [['kind' => 'oil'], 'density', '0.92 g/mL', 0.92],
    [['kind' => 'oil'], 'density', '0,915', 0.915],
    [['kind' => 'oil'], 'density', '0.92 kg/L', 0.92],
    [['kind' => 'oil'], 'density', '915 kg/m3', 0.915],
    [['kind' => 'oil'], 'density', '915 g/L', 0.915],
    [['kind' => 'oil'], 'sets_below', '10', 10.0],
    [['kind' => 'oil'], 'sets_below', '50 °F', 10.0],
    [['kind' => 'oil'], 'sets_below', '−6 °C', -6.0],
    [['kind' => 'oil'], 'months_opened', '6 months', 6.0],
    [['kind' => 'oil'], 'months_opened', 'a year', 12.0],
    [['kind' => 'oil'], 'months_opened', 'one and a half years', 18.0],
    [['kind' => 'oil'], 'months_opened', '26 weeks', 5.98],
    [['kind' => 'wax', 'hardness' => 1], 'melts_from', '144 F', 62.22],
    [['kind' => 'wax', 'melts_from' => 60], 'hardness', '2x', 2.0],
    [['kind' => 'wax', 'melts_from' => 60], 'hardness', '1 1/2', 1.5],
    [['kind' => 'scent'], 'limit', '0,5 %', 0.5],
    [['kind' => 'measure'], 'holds_ml', '1.5 fl oz', 44.36],
    [['kind' => 'measure'], 'holds_ml', 'half a cup', 118.29],
    [['kind' => 'measure'], 'weighs_g', '2 oz', 56.7],
    [['kind' => 'measure'], 'weighs_g', '1/4 kg', 250.0],
]);

it('takes the house’s own cup for a cup', function (MeasureSystem $custom, float $ml) {
    ownFigure(ownTyped('holds_ml', '1 cup', ['kind' => 'measure'], $custom), $ml);
})->with([[MeasureSystem::Us, 236.59], [MeasureSystem::Metric, 250.0], [MeasureSystem::Imperial, 284.13]]);

it('refuses by its own words what is no such figure, or two of them', function (
    array $document,
    string $field,
    string $typed,
    string $says,
) {
    expect(ownTyped($field, $typed, $document))->toBe($says);
})->with([
    [['kind' => 'plant', 'form' => 'root'], 'water', '0.8', 'From 1 to 97 per cent.'],
    [['kind' => 'plant', 'form' => 'root'], 'water', 'eighty', '“eighty” cannot be read as a number of per cent. Write it like 12 %.'],
    [
        ['kind' => 'plant', 'form' => 'root'],
        'water',
        '70-80 %',
        '“70-80 %” goes from one figure to another. Write the one to be reckoned with, the more careful of the two.',
    ],
    [['kind' => 'oil'], 'density', '920', 'From 0.8 to 1 g/mL.'],
    [
        ['kind' => 'measure'],
        'holds_ml',
        '1,500',
        '“1,500” can be read two ways, as thousands or as a decimal. Write it with a point, or without the comma.',
    ],
    [['kind' => 'oil'], 'density', '0.9 oz', '“0.9 oz” cannot be read as grams in a millilitre. Write it like 0.915 g/mL.'],
    [['kind' => 'oil'], 'sets_below', 'cold', '“cold” cannot be read as a temperature. Write it like 60 C or 140 F.'],
    [['kind' => 'wax', 'melts_from' => 60], 'hardness', 'twice', '“twice” cannot be read as a number. Write it like 1.5.'],
    [['kind' => 'measure'], 'holds_ml', '42 g', '“42 g” is a weight, and a volume is wanted here, such as 350 mL or 1 1/2 cups.'],
]);

it('says of a figure that cannot be read no more than that', function () {
    try {
        (new OwnReader(new Cupboard(Tables::shipped())))->read([
            'kind' => 'wax',
            'name' => 'wick stuff',
            'melts_from' => '62-65',
            'hardness' => 'twice',
        ]);
        $faults = [];
    } catch (OwnException $refused) {
        $faults = array_column($refused->faults, 'field');
    }
    expect($faults)->toBe(['melts_from', 'hardness']);
});

/*
 * Names and shorthand: IUPAC-IUB lipid nomenclature 1976, from memory. The spans of olive oil: Codex Alimentarius
 * CXS 33-1981, table of fatty acids, from memory; their middles come to 100 within a per cent.
 */
it('reads the fats of a seller’s sheet', function (string $typed, array $meant) {
    $kept = ownTyped('fatty_acids', $typed, ['kind' => 'oil']);
    expect($kept)->toBeArray()->and(array_keys((array) $kept))->toBe(array_keys($meant));
    foreach ($meant as $acid => $percent) {
        ownFigure($kept[$acid], $percent);
    }
})->with([
    ['oleic 72, linoleic 10, palmitic 12', ['18:1' => 72.0, '18:2' => 10.0, '16:0' => 12.0]],
    ["C18:1 72 %\nC18:2 10 %\nC16:0 12 %", ['18:1' => 72.0, '18:2' => 10.0, '16:0' => 12.0]],
    ['Oleic acid (C18:1) 72.5; Linoleic acid (C18:2): 10,5', ['18:1' => 72.5, '18:2' => 10.5]],
    [
        'Palmitic acid 7.5-20, palmitoleic acid 0.3-3.5, stearic acid 0.5-5, oleic acid 55-83, linoleic acid 3.5-21',
        ['16:0' => 13.75, '16:1' => 1.9, '18:0' => 2.75, '18:1' => 69.0, '18:2' => 12.25],
    ],
    ['18:1 n-9 70, 18:1 n-7 2', ['18:1' => 72.0]],
    ['α-linolenic acid 55, γ-linolenic 2', ['18:3' => 57.0]],
    ['oleic 80, palmitic 10, erucic <2, myristic ND', ['18:1' => 80.0, '16:0' => 10.0, '22:1' => 2.0, '14:0' => 0.0]],
    ['18:1-OH 88', ['18:1-OH' => 88.0]],
]);

it('guesses at no fat', function (string $typed, string $says) {
    expect(ownTyped('fatty_acids', $typed, ['kind' => 'oil']))->toBe($says);
})->with([
    ['oleic 40, oleic 32', '“oleic” is there twice.'],
    ['18:2 n-6 60, 18:2 (n-6) 3', '“18:2 (n-6)” is there twice.'],
    ['omega 6 60%', '“omega 6 60%” cannot be read. Write each acid with its per cent, such as oleic 72, or 18:1 72.'],
    ['oleic C18:2 80', '“oleic C18:2 80” cannot be read. Write each acid with its per cent, such as oleic 72, or 18:1 72.'],
    ['oleic 72 linoleic 10', '“oleic 72 linoleic 10” cannot be read. Write each acid with its per cent, such as oleic 72, or 18:1 72.'],
    ['saturated 50, monounsaturated 42', '“saturated 50” cannot be read. Write each acid with its per cent, such as oleic 72, or 18:1 72.'],
    ['oleic 83-55', '“oleic 83-55” cannot be read. Write each acid with its per cent, such as oleic 72, or 18:1 72.'],
    ['oleic 0.72', 'The fats come to 0.72 per cent together; nearly all of an oil is fat, so about 100.'],
]);

/* A label reads "Contains …": it never contains "none known". Common practice, no source. */
it('reads what people are allergic to as it is said', function (mixed $typed, ?array $meant) {
    expect(ownTyped('allergens', $typed, ['kind' => 'oil']))->toBe($meant);
})->with([
    ['', null],
    ['unknown', null],
    ['?', null],
    ['none', []],
    ['None known.', []],
    ['no allergens', []],
    ['n/a', []],
    ['-', []],
    [[], []],
    [['none known'], []],
    ['almond (tree nuts, peanuts), sesame', ['almond (tree nuts, peanuts)', 'sesame']],
    ['contains milk', ['milk']],
    ['may contain nuts; traces of soya', ['nuts', 'soya']],
    ['bee products', ['bee products']],
    ['soja à', ['soja à']],
]);

it('does not make an allergen of what is not in it', function (string $typed, string $named) {
    expect(ownTyped('allergens', $typed, ['kind' => 'oil']))->toBe(
        "“{$named}” says what is not in it. Write what is in it, or none where there is nothing.",
    );
})->with([['nut free', 'nut free'], ['no nuts', 'no nuts'], ['free from gluten, milk', 'free from gluten'], ['none, nuts', 'none']]);

it('takes nothing for an allergen, or for none, that is no word', function (mixed $given, string $says) {
    expect(ownTyped('allergens', $given, ['kind' => 'oil']))->toBe($says);
})->with([[true, 'This is a list.'], [5, 'This is a list.'], [['nuts', 5], 'This cannot be read. Write it in words.']]);

it('does not lose what is known for what is not', function () {
    expect(ownTyped('allergens', 'milk, unknown', ['kind' => 'oil']))->toBe(
        '“unknown” is no allergen. Leave it blank until it is known, or write none.',
    );
});

it('still reads what was kept before it was told apart', function () {
    expect(ownTyped('allergens', ['nut free'], ['kind' => 'oil']))->toBe(['nut free']);
});

it('writes a hybrid with its sign', function () {
    // International Code of Nomenclature for algae, fungi, and plants, article H.3: the multiplication sign.
    expect(ownTyped('latin', 'Mentha × piperita', ['kind' => 'plant', 'form' => 'root']))->toBe('Mentha × piperita');
});

it('says how its figures were understood, in the cook’s own degrees', function () {
    $answer = (new Questions(Tables::shipped()))->ask(
        'own',
        [
            'own' => [
                'kind' => 'oil',
                'name' => 'wick stuff',
                'density' => '915 g/L',
                'sets_below' => '50 °F',
                'months_opened' => 'a year',
                'fatty_acids' => 'oleic 55-83, linoleic 20',
                'allergens' => 'none known',
            ],
        ],
        new DateTimeImmutable('2026-11-24'),
    );
    expect($answer['read'])->toBe([
        'A millilitre weighs 0.915 g.',
        'It sets below 10 °C.',
        'Opened it keeps 12 months.',
        'Its fats: 18:1 69 % and 18:2 20 %.',
        'There is nothing in it that people are allergic to.',
    ]);
});
