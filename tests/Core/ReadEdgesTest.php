<?php

use Kettle\Material\Cupboard;
use Kettle\Material\FattyAcids;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\Tables;
use Kettle\Share\RecipeFile;
use Kettle\Share\SchemaOrg;
use Tests\Core\Support;

// Edges of what is read and shared that nothing else comes by: each of them was broken on purpose, and no other test saw it.

it('reads a day in figures, the year first', function (string $text, array $days) {
    expect(array_intersect_key(Support::sentence($text)['wish'], $days))->toBe($days);
})->with([
    ['calendula in olive by 2027-03-05', ['ready_by' => '2027-03-05']],
    ['calendula in olive, begun 2026-11-02', ['begun' => '2026-11-02']],
]);

it('shares of a product what every house can have', function () {
    $wish = [
        'product' => 'cream',
        'oils' => [['id' => 'olive', 'amount' => '60 g'], ['batch' => 'b1', 'amount' => '20 g']],
        'others' => [['boil' => 'g1', 'percent' => 5], ['id' => 'vitamin-e', 'percent' => 0.5]],
        'water' => ['boil' => 'd1', 'amount' => '40 g'],
        'ready_by' => '2026-12-24',
        'waxes' => [],
    ];
    expect(RecipeFile::shared($wish))->toBe([
        'oils' => [['id' => 'olive', 'amount' => '60 g']],
        'product' => 'cream',
        'others' => [['id' => 'vitamin-e', 'percent' => 0.5]],
    ]);
    $water = ['id' => 'rose-water', 'amount' => '40 g'];
    expect(RecipeFile::shared(['product' => 'cream', 'water' => $water])['water'])->toBe($water);
});

it('writes a product as schema.org has it, each thing and each step', function () {
    $plan = [
        'pot' => [['name' => 'olive oil', 'text' => '170 g'], ['name' => 'beeswax', 'text' => '42 g']],
        'steps' => [['says' => 'Melt it.'], ['says' => 'Pour it.']],
        'tins' => ['count' => 2, 'vessel' => 'tin'],
    ];
    $recipe = SchemaOrg::product('Salve', '', $plan, ['product' => 'salve'], false);
    expect($recipe['recipeIngredient'])
        ->toBe(['170 g olive oil', '42 g beeswax'])
        ->and($recipe['recipeInstructions'])
        ->toBe([['@type' => 'HowToStep', 'text' => 'Melt it.'], ['@type' => 'HowToStep', 'text' => 'Pour it.']])
        ->and($recipe['recipeYield'])
        ->toBe('2 tins');
});

// Linoleic acid has one place between two double bonds and 10.3 times the rate of oleic (Fatemi and Hammond 1980, from memory);
// docosapentaenoic has four, docosahexaenoic five: in proportion 41.2 and 51.5.
it('takes the fats of fish to take up oxygen in proportion to the places between their double bonds', function (string $acid, int $places) {
    expect((new FattyAcids([$acid => 100.0]))->oxidisability())->toEqualWithDelta($places * 10.3, 1e-9);
})->with([['18:2', 1], ['20:5', 4], ['22:5', 4], ['22:6', 5]]);

it('takes no months beyond ten years of an oil of one’s own, and the part of a plant as it is written', function () {
    $own = fn (array $document) => (new OwnReader(new Cupboard(Tables::shipped())))->read($document);
    $oil = ['kind' => 'oil', 'name' => 'quince seed oil', 'months_opened' => 6];
    expect($own(['months_unopened' => 120] + $oil)->fields['months_unopened'])->toEqual(120.0);
    expect(fn () => $own(['months_unopened' => 120.5] + $oil))->toThrow(OwnException::class);
    $plant = $own(['kind' => 'plant', 'name' => 'wild fuchsia', 'form' => 'flower-heads', 'part' => 'flower']);
    expect($plant->fields['part'])->toBe('flower');
});

// No school of the double boiler is longer than two days: data/methods.json. What is taken can be planned.
it('takes no way that no school of it leaves so long', function (string $time, string $method) {
    $wish = Support::pasted("60 g calendula\n400 ml olive oil\nLeave to stand for {$time}.")->wish;
    expect($wish['method'])->toBe($method)->and(Support::faults($wish))->toBe([]);
})->with([['3 hours', 'double-boiler'], ['48 hours', 'double-boiler'], ['60 hours', 'cold'], ['3 days', 'cold']]);

it('weighs what is little of to the milligram', function (string $text, string $amount) {
    expect(Support::product($text)->wish['essential_oils'][0]['amount'])->toBe($amount);
})->with([
    // 0.5 % of 25 g, and of 100 g.
    ["Lip balm 25 g\n79.5% olive\n20% beeswax\n0.5% peppermint essential oil", '0.125 g'],
    ["Lip balm 100 g\n79.5% olive\n20% beeswax\n0.5% peppermint essential oil", '0.5 g'],
]);

it('reads an amount before one thing and behind the next', function () {
    expect(Support::amounts('50 g calendula, olive oil - 200 ml'))->toBe([['calendula' => '50 g'], '200 ml']);
});
