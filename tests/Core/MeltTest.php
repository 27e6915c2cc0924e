<?php

use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Melt\FirmnessSeen;
use Kettle\Melt\Fusion;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Verdict;
use Tests\Core\Melted;

// Worked by hand. Olive oil at 0.912 g/mL (Codex 33: 0.910 to 0.916), beeswax counts one.
it('makes the worked salves of the trade', function (array $asked, float $share, float $totalG) {
    $figures = Melted::ask($asked)['figures'];
    expect($figures['wax_share']['value'])
        ->toEqualWithDelta($share, 0.0005)
        ->and($figures['firmness']['value'])
        ->toEqualWithDelta($share, 0.0005)
        ->and($figures['total_mass']['value'])
        ->toEqualWithDelta($totalG, 0.05);
})->with([
    // 100 mL to 20 g: 91.2 g of oil, 20 / 111.2. Common practice, no source.
    '100 mL to 20 g' => [
        ['oils' => [['id' => 'olive', 'amount' => '100 mL']], 'waxes' => [['id' => 'beeswax', 'amount' => '20 g']]],
        0.1799,
        111.2,
    ],
    // 1 g to 5 mL is 18 %: 1 / (1 + 5 x 0.912).
    '1 g to 5 mL' => [
        ['oils' => [['id' => 'olive', 'amount' => '5 mL']], 'waxes' => [['id' => 'beeswax', 'amount' => '1 g']]],
        0.1799,
        5.56,
    ],
    // 1 g to 30 mL is 3.5 %: 1 / (1 + 30 x 0.912).
    '1 g to 30 mL' => [
        ['product' => 'ointment', 'oils' => [['id' => 'olive', 'amount' => 30]], 'waxes' => [['id' => 'beeswax', 'amount' => 1]]],
        0.0353,
        28.36,
    ],
    // 1 g to 100 mL is 1 %: 1 / (1 + 91.2).
    '1 g to 100 mL' => [
        [
            'product' => 'sun-ointment',
            'oils' => [['id' => 'olive', 'amount' => '100 mL']],
            'waxes' => [['id' => 'beeswax', 'amount' => '1 g']],
        ],
        0.0108,
        92.2,
    ],
    // A cup to a cup is about 40 % when weighed: 236.588 mL at 0.55 g/mL is 130.1 g, and of oil 215.8 g.
    'a cup of pellets to a cup of oil' => [
        ['product' => 'stick', 'oils' => [['id' => 'olive', 'amount' => '1 cup']], 'waxes' => [['id' => 'beeswax', 'amount' => '1 cup']]],
        0.3762,
        345.9,
    ],
]);

it('says that a cup of pellets was taken by its bulk, and asks to weigh it', function () {
    $asked = ['oils' => [['id' => 'olive', 'amount' => '1 cup']], 'waxes' => [['id' => 'beeswax', 'amount' => '1/4 cup']]];
    expect(Melted::figure($asked, 'wax_mass'))
        ->toEqualWithDelta(32.5, 0.1)
        ->and(Melted::cautions($asked))
        ->toContain('care by-cup.beeswax');
});

// (X - sum of the others) / (its equivalent - that of the oil), by hand: 0.25 wanted, a fifth of shea counts 0.15, so 0.22.
it('counts the other fats before it weighs the wax', function (array $asked, float $share) {
    expect(Melted::figure($asked, 'wax_share'))->toEqualWithDelta($share, 1e-6);
})->with([
    'shea' => [['firmness' => 0.25, 'butters' => [['id' => 'shea', 'share' => 0.2]]], 0.22],
    // Candelilla counts two: 0.18 / 2.
    'candelilla' => [['firmness' => 0.18, 'waxes' => ['candelilla']], 0.09],
    // Half beeswax and half candelilla by weight count 1.5.
    'two waxes' => [['firmness' => 0.18, 'waxes' => [['id' => 'beeswax'], ['id' => 'candelilla']]], 0.12],
    // Coconut as the oil counts 0.05: (0.18 - 0.05) / 0.95.
    'a fat for the oil' => [['firmness' => 0.18, 'oils' => ['coconut']], 0.136842],
]);

it('makes a number as firm as it says, and a share of that firmness again', function () {
    mt_srand(41);
    $butters = ['shea', 'cocoa-butter', 'mango-butter', 'lanolin'];
    $waxes = ['beeswax', 'candelilla', 'carnauba', 'rice-bran-wax'];
    $oils = ['olive', 'sunflower', 'jojoba', 'castor'];
    for ($i = 0; $i < 200; $i++) {
        $firmness = mt_rand(60, 400) / 1000;
        $asked = [
            'firmness' => $firmness,
            'oils' => [['id' => $oils[$i % 4], 'parts' => mt_rand(1, 5)], ['id' => $oils[($i + 1) % 4], 'parts' => mt_rand(1, 5)]],
            'waxes' => [$waxes[mt_rand(0, 3)]],
            'butters' => [['id' => $butters[mt_rand(0, 3)], 'share' => mt_rand(0, 12) / 100]],
            'essential_oils' => [['id' => 'lavender', 'percent' => mt_rand(0, 20) / 10]],
            ...[['total' => mt_rand(20, 5000)], ['tins' => [['ml' => mt_rand(5, 200), 'count' => mt_rand(1, 40)]]]][$i % 2],
        ];
        $answer = Melted::ask($asked);
        $pot = $answer['pot'];
        expect($answer['figures']['firmness']['value'])
            ->toEqualWithDelta($firmness, 1e-5)
            // Masses add.
            ->and(array_sum(array_column($pot, 'grams')))
            ->toEqualWithDelta($answer['figures']['total_mass']['value'], 1e-3)
            ->and(array_sum(array_column($pot, 'share')))
            ->toEqualWithDelta(1.0, 1e-5);
        // The same from the wax that came out, with no word of how firm.
        $again = array_diff_key($asked, ['firmness' => 1, 'tins' => 1, 'waxes' => 1]);
        $again['total'] = $answer['figures']['total_mass']['value'];
        $again['waxes'] = [['id' => $asked['waxes'][0], 'amount' => $answer['figures']['wax_mass']['value']]];
        expect(Melted::figure($again, 'firmness'))->toEqualWithDelta($firmness, 1e-4);
    }
});

it('comes to the same from every side', function () {
    $salve = [
        'firmness' => 0.18,
        'butters' => [['id' => 'shea', 'share' => 0.1]],
        'essential_oils' => [['id' => 'lavender', 'percent' => 1]],
    ];
    $by = fn (array $side): array => array_map(fn (string $id) => Melted::figure($side + $salve, $id), [
        'total_mass' => 'total_mass',
        'wax_mass' => 'wax_mass',
        'oil_volume' => 'oil_volume',
    ]);
    $tins = $by(['tins' => [['ml' => 60, 'count' => 6]]]);
    // 6 x 57 mL and 3 % that stays behind.
    expect(Melted::figure(['tins' => [['ml' => 60, 'count' => 6]]] + $salve, 'total_volume'))->toEqualWithDelta(342 / 0.97, 1e-4);
    foreach (
        [
            ['total' => $tins['total_mass'].' g'],
            ['total' => 342 / 0.97.' mL'],
            ['oils' => [['id' => 'olive', 'amount' => $tins['oil_volume'].' mL']]],
            ['waxes' => [['id' => 'beeswax', 'amount' => $tins['wax_mass'].' g']]],
        ] as $side
    ) {
        foreach ($by($side) as $id => $value) {
            expect($value)->toEqualWithDelta($tins[$id], $tins[$id] * 1e-4, $id.json_encode($side));
        }
    }
});

// European Pharmacopoeia drop points, from memory: beeswax 61 to 66, carnauba 80 to 88, wool fat 38 to 44; candelilla 68.5 to
// 72.5 (Food Chemicals Codex, from memory).
it('melts waxes where the books say', function (string $wax, float $from, float $to) {
    $row = (new Cupboard(Tables::shipped()))->wax($wax);
    expect(($row->meltsFromC + $row->meltsToC) / 2)
        ->toBeGreaterThanOrEqual($from)
        ->toBeLessThanOrEqual($to);
})->with([['beeswax', 61, 66], ['carnauba', 80, 88], ['lanolin', 38, 44], ['candelilla', 68.5, 72.5]]);

/*
 * Schröder and van Laar by hand, for a fifth-wax salve: 0.18 / 676 mol of wax to 0.82 / 880 of oil is x = 0.2222;
 * 1/T = 1/336.65 - 8.31446 ln x / (180 x 676) = 0.0030733, so 52.2 C. Beeswax in seed oils, measured, is clear at about 50 to
 * 58 at a tenth to a fifth (papers on oleogels, from memory).
 */
it('knows where a salve begins to run', function () {
    $wax = Fusion::of((new Cupboard(Tables::shipped()))->wax('beeswax'));
    expect($wax->dissolvesAt(0.18, 880))->toEqualWithDelta(52.2, 0.15);
    expect($wax->dissolvedAt(52.2, 880))->toEqualWithDelta(0.18, 0.002);
    // All wax melts where wax does.
    expect($wax->dissolvesAt(1.0, 880))->toEqualWithDelta(63.5, 1e-9);
    $before = 0.0;
    foreach ([0.04, 0.08, 0.15, 0.2, 0.3, 0.4] as $firmness) {
        $figures = Melted::ask(['firmness' => $firmness])['figures'];
        expect($figures['melts_at']['value'])
            ->toBeGreaterThan($before)
            ->toBeLessThanOrEqual($figures['clear_at']['value'])
            ->and($figures['pour_at']['value'])
            ->toBeGreaterThan($figures['clear_at']['value']);
        $before = $figures['melts_at']['value'];
    }
    // What pours cold has no such warmth; a fat alone runs where it melts: coconut about 24, shea 32 to 40.
    expect(Melted::ask(['product' => 'body-oil'])['figures'])->not->toHaveKey('melts_at');
    expect(Melted::figure(['product' => 'waxless-balm'], 'melts_at'))->toEqualWithDelta(24.5, 1.0);
});

it('puts what is volatile in under 50 °C, or as cool as it still stirs', function () {
    expect(Melted::figure(['product' => 'ointment'], 'drops_below'))
        ->toBe(50.0)
        ->and(Melted::figure(['firmness' => 0.2], 'drops_below'))
        ->toBeGreaterThan(50.0)
        ->toBeLessThan(57.0);
});

it('knows the words by their bands', function (string $word, float $from, float $to) {
    $rule = MeltTable::of(Tables::shipped())->firmness();
    expect($rule->band($rule->middle($word))['id'])
        ->toBe($word)
        ->and($rule->named($word)['from'])
        ->toBe($from)
        ->and($rule->named($word)['to'])
        ->toBe($to)
        ->and($rule->band($from)['id'])
        ->toBe($word);
})->with([
    ['pours', 0.0, 0.02],
    ['barely', 0.02, 0.06],
    ['soft', 0.06, 0.13],
    ['salve', 0.13, 0.21],
    ['firm', 0.21, 0.29],
    ['stick', 0.29, 0.42],
    ['hard', 0.42, 1.0],
]);

it('makes a word firmer for a warm pocket by 0.02 to 0.04, and a number not at all', function () {
    $cool = Melted::figure(['firmness' => 'firm'], 'firmness');
    foreach ([28 => 0.024, 30 => 0.03, 32 => 0.036, 40 => 0.04] as $warm => $more) {
        expect(Melted::figure(['firmness' => 'firm', 'bears_c' => $warm], 'firmness'))->toEqualWithDelta($cool + $more, 1e-6);
    }
    expect(Melted::figure(['firmness' => 0.25, 'bears_c' => 35], 'firmness'))->toEqualWithDelta(0.25, 1e-6);
});

/*
 * Normal prior, normal observations: held against the posterior by sums over a fine grid, which knows no closed form.
 */
it('learns what a word means here', function (array $verdicts) {
    $rule = MeltTable::of(Tables::shipped())->firmness();
    $seen = FirmnessSeen::of(0.17, 0.08, $verdicts, $rule);
    [$sum, $first, $second] = [0.0, 0.0, 0.0];
    for ($x = -0.2; $x < 0.6; $x += 0.0001) {
        $log = -(($x - 0.17) ** 2) / (2 * 0.02 ** 2);
        foreach ($verdicts as $verdict) {
            $log -= ($x - $verdict->points($rule)) ** 2 / (2 * $verdict->sd() ** 2);
        }
        [$sum, $first, $second] = [$sum + exp($log), $first + $x * exp($log), $second + $x * $x * exp($log)];
    }
    expect($seen->mean)
        ->toEqualWithDelta($first / $sum, 1e-5)
        ->and($seen->sd)
        ->toEqualWithDelta(sqrt($second / $sum - ($first / $sum) ** 2), 1e-5)
        ->and(count($seen->steps))
        ->toBe(count($verdicts));
})->with([
    'none' => [[]],
    'one that was right' => [[new Verdict(0.19, 'right')]],
    'two soft and one right' => [[new Verdict(0.15, 'too-soft'), new Verdict(0.16, 'too-soft', 'a-little'), new Verdict(0.19, 'right')]],
    'hard in a warm room' => [[new Verdict(0.2, 'too-hard', 'far', 30.0)]],
]);

it('makes the next salve as the spoon has said', function () {
    $verdict = ['firmness' => 0.16, 'verdict' => 'too-soft', 'by' => 'plainly'];
    $first = Melted::figure(['firmness' => 'salve'], 'firmness');
    $second = Melted::figure(['firmness' => 'salve', 'verdicts' => [$verdict]], 'firmness');
    $fourth = Melted::ask(['firmness' => 'salve', 'verdicts' => [$verdict, $verdict, $verdict]]);
    expect($second)->toBeGreaterThan($first)->and($fourth['figures']['firmness']['value'])->toBeGreaterThan($second)->toBeLessThan(0.2);
    // It narrows; and what was said of sticks says nothing of salves.
    $widths = array_map(fn (array $step) => $step['high'] - $step['low'], $fourth['rule']['learned']['steps']);
    expect($widths)->toBe(array_reverse(array_values(collect_sorted($widths))));
    expect(Melted::figure(['firmness' => 'salve', 'verdicts' => [['firmness' => 0.35, 'verdict' => 'too-soft']]], 'firmness'))->toBe(
        $first,
    );
});

/** @param  list<float>  $values @return list<float> */
function collect_sorted(array $values): array
{
    sort($values);

    return $values;
}

// A drop weighs its density over the drops to a millilitre: lavender 0.885 / 20 is 44.25 mg, clove 1.05 / 20 is 52.5 mg.
it('counts drops by their weight', function (string $oil, float $percent, float $total, float $drops) {
    expect(Melted::figure(['total' => $total, 'essential_oils' => [['id' => $oil, 'percent' => $percent]]], 'drops.'.$oil))->toBe($drops);
})->with([
    // 2 g at 44.25 mg.
    ['lavender', 2.0, 100.0, 45.0],
    // 0.5 g at 52.5 mg.
    ['clove-bud', 0.5, 100.0, 10.0],
    // 3.25 g at 43.3 mg.
    ['frankincense', 1.0, 325.0, 75.0],
]);

it('takes drops for what they weigh', function () {
    $answer = Melted::ask(['total' => '100 g', 'essential_oils' => [['id' => 'lavender', 'drops' => 40]]]);
    expect($answer['figures']['percent.lavender']['value'])
        ->toEqualWithDelta(1.77, 1e-6)
        ->and($answer['figures']['drops.lavender']['value'])
        ->toBe(40.0);
    $slow = Melted::ask(['total' => '100 g', 'essential_oils' => [['id' => 'lavender', 'drops' => 40]], 'house' => ['drops_per_ml' => 40]]);
    expect($slow['figures']['percent.lavender']['value'])->toEqualWithDelta(0.885, 1e-6);
});

it('fills tins as full search would', function () {
    mt_srand(7);
    for ($i = 0; $i < 40; $i++) {
        $sizes = array_map(fn (int $ml) => ['ml' => $ml], array_slice([15, 30, 60, 100], mt_rand(0, 1), mt_rand(1, 3)));
        $answer = Melted::ask(['oils' => [['id' => 'olive', 'amount' => mt_rand(60, 400)]], 'tins' => $sizes]);
        $poured = $answer['figures']['poured_volume']['value'];
        // Every count of every size.
        $best = $poured;
        $try = function (int $at, float $left) use (&$try, &$best, $sizes): void {
            if ($at === count($sizes)) {
                $best = min($best, $left);

                return;
            }
            for ($used = 0.0; $used <= $left + 1e-9; $used += $sizes[$at]['ml'] * 0.95) {
                $try($at + 1, $left - $used);
            }
        };
        $try(0, $poured);
        // It counts in tenths of a millilitre.
        expect($answer['tins']['left_ml'])->toEqualWithDelta($best, 0.2 * $answer['tins']['count'] + 0.1);
        $filled = array_sum(array_map(fn (array $tin) => $tin['holds_ml'] * $tin['count'], $answer['tins']['sizes']));
        expect($filled + $answer['tins']['left_ml'])->toEqualWithDelta($poured, 0.01);
    }
});

it('says when the oil does not go round', function () {
    $asked = ['oils' => [['id' => 'olive', 'amount' => '150 mL']], 'tins' => [['ml' => 60, 'count' => 6]]];
    $answer = Melted::ask($asked);
    // 150 mL of oil and a fifth of wax are about 181 mL poured: three tins of 57.
    expect($answer['tins']['count'])
        ->toBe(3)
        ->and(Melted::cautions($asked))
        ->toContain('care tins-short')
        ->and($answer['figures']['left_over']['value'])
        ->toBeGreaterThan(0);
});

it('plans every product of the table as it stands, with nothing that warns against itself', function (string $product) {
    $answer = Melted::ask(['product' => $product]);
    expect(array_column(array_filter($answer['cautions'], fn (array $each) => $each['rank'] === 'stop'), 'id'))
        ->toBe([])
        ->and(array_column($answer['cautions'], 'id'))
        ->not->toContain('wax-share')
        ->and($answer['text'])
        ->not->toMatch('/[{}]|  | ,/')
        ->and($answer['tins']['count'])
        ->toBeGreaterThan(0);
    foreach ([...$answer['steps'], ...$answer['cautions']] as $each) {
        expect($each['says'])->not->toBe('')->not->toMatch('/[{}]|  | [,.;]/');
    }
    foreach ($answer['figures'] as $id => $figure) {
        foreach ($figure['reasons'] as $reason) {
            expect($reason['says'])->not->toBe('', $id)->not->toMatch('/[{}]|  | [,.;]/', $id);
            expect($reason['source'])->not->toBe('', $id);
        }
    }
})->with(array_keys(MeltTable::of(Tables::shipped())->products()));

// The trade's table of products, shares by weight; common practice, no source.
it('makes each product as the trade does', function (string $product, string $kind, float $least, float $most) {
    $pot = Melted::ask(['product' => $product])['pot'];
    $share = array_sum(array_column(array_filter($pot, fn (array $each) => $each['kind'] === $kind), 'share'));
    expect($share)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([
    ['salve', 'wax', 0.15, 0.2],
    ['ointment', 'wax', 0.03, 0.04],
    ['sun-ointment', 'wax', 0.009, 0.012],
    ['balm', 'wax', 0.2, 0.25],
    ['lip-balm', 'wax', 0.2, 0.25],
    ['lip-balm', 'butter', 0.15, 0.3],
    ['stick', 'wax', 0.3, 0.4],
    ['bar', 'wax', 0.32, 0.35],
    ['bar', 'butter', 0.32, 0.35],
    ['bar', 'oil', 0.32, 0.35],
    ['whipped-butter', 'butter', 0.6, 0.75],
    ['whipped-butter', 'oil', 0.25, 0.4],
    ['scrub', 'grain', 0.5, 0.7],
    ['cream', 'oil', 0.15, 0.25],
    // Emulsifier about a quarter of the oils.
    ['cream', 'emulsifier', 0.04, 0.06],
]);

it('makes no more in one pot than a kitchen holds, by weight or by what it fills', function (string $total) {
    $fault = null;
    try {
        (new Kettle\Ask\Questions(Kettle\Material\Tables::shipped()))->ask(
            'melt',
            ['product' => 'salve', 'oils' => ['olive'], 'total' => $total],
            new DateTimeImmutable('2026-11-24'),
        );
    } catch (Kettle\Reason\RefusedException $refused) {
        $fault = [$refused->field, $refused->sentence];
    } catch (Kettle\Recipe\WishException $refused) {
        $fault = [$refused->faults[0]['field'], $refused->faults[0]['sentence']];
    }
    expect($fault)->toBe(['total', 'More than 20 kg, or 20 L, in one pot is no kitchen’s. Make less.']);
})->with(['20 kg', '19.5 kg']);
