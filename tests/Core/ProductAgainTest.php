<?php

use Kettle\Material\Tables;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductAgain;
use Kettle\Recipe\WishException;
use Tests\Core\Melted;

/**
 * @param  array<string, mixed>  $wish
 * @return array<string, mixed> the wish of it once more
 */
function oncemore(array $wish, float $times): array
{
    $product = MeltTable::of(Tables::shipped())->product($wish['product'] ?? 'salve');

    return ProductAgain::wish($wish, Melted::ask($wish), $product, $times);
}

it('makes a product so many times as large, its parts held to each other', function (array $wish) {
    $before = Melted::ask($wish);
    foreach ([0.5, 2.0, 3.0] as $times) {
        $after = Melted::ask(oncemore($wish, $times));
        $shares = fn (array $told): array => array_map(fn (float $share) => round($share, 3), array_column($told['pot'], 'share', 'id'));
        expect($after['figures']['total_mass']['value'] / $before['figures']['total_mass']['value'])
            ->toEqualWithDelta($times, 0.02)
            ->and($shares($after))
            ->toEqualWithDelta($shares($before), 0.002)
            ->and($after['figures']['firmness']['value'])
            ->toEqualWithDelta($before['figures']['firmness']['value'], 0.002);
    }
})->with([
    'by its tins' => [['tins' => [['ml' => 60, 'count' => 6]], 'firmness' => 'firm']],
    'by none' => [['product' => 'salve']],
    'by two sizes' => [['tins' => [['ml' => 60, 'count' => 2], ['ml' => 30, 'count' => 4]]]],
    'by the oil at hand' => [['oils' => [['id' => 'olive', 'amount' => '1 cup']], 'tins' => [['ml' => 60]]]],
    'by oil and wax' => [['oils' => [['id' => 'olive', 'amount' => '1 cup']], 'waxes' => [['id' => 'beeswax', 'amount' => '1/4 cup']]]],
    'by the wax at hand' => [['waxes' => [['id' => 'beeswax', 'amount' => '50 g']], 'firmness' => 'salve']],
    'by a total' => [['total' => '500 g', 'firmness' => 'soft']],
    'with butter and scent' => [
        [
            'product' => 'balm',
            'tins' => [['ml' => 60, 'count' => 4]],
            'butters' => [['id' => 'shea', 'amount' => '40 g']],
            'essential_oils' => [['id' => 'lavender', 'percent' => 1]],
        ],
    ],
]);

it('doubles drops and leaf with the rest', function () {
    $wish = [
        'product' => 'ointment',
        'tins' => [['ml' => 60, 'count' => 2]],
        'essential_oils' => [['id' => 'lavender', 'drops' => 12]],
        'leaf' => ['id' => 'plantain-leaf', 'amount' => '10 g'],
    ];
    $twice = oncemore($wish, 2.0);
    expect($twice['essential_oils'][0]['drops'])
        ->toBe(24)
        ->and($twice['leaf']['amount'])
        ->toBe('20 g')
        ->and($twice['tins'][0]['count'])
        ->toBe(4);
});

it('is as it was once more, but for the day it was wanted by', function () {
    $wish = ['tins' => [['ml' => 60, 'count' => 6]], 'ready_by' => '2026-12-12'];
    expect(oncemore($wish, 1.0))->toBe(['tins' => [['ml' => 60, 'count' => 6]]]);
});

it('refuses to be made without end, or of nothing', function (float $times) {
    oncemore(['product' => 'salve'], $times);
})
    ->with([0.0, -1.0, 0.01, 21.0, 1e9])
    ->throws(WishException::class);
