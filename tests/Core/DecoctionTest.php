<?php

declare(strict_types=1);

use Kettle\Decoction\BoilingPot;
use Kettle\Material\Tables;

require_once dirname(__DIR__).'/Boiled.php';

// Worked by hand, common practice, no source: 1:16 to a quarter, 1:8 to a half, 1:4 to three quarters, at 450 mL an hour.
it('boils down by the table, from whichever side is known', function (array $asked, array $expected) {
    $found = boiledFigures('decoction', $asked + ['ml_per_hour' => 450]);
    foreach ($expected as $id => $value) {
        expect($found[$id])->toEqualWithDelta($value, abs($value) * 0.001, $id);
    }
})->with([
    '100 g of hard root' => [
        ['hardness' => 'very-hard', 'herb' => '100 g'],
        ['water_volume' => 1600, 'end_volume' => 400, 'boil_off' => 1200, 'hours' => 8 / 3],
    ],
    '400 mL of hard root' => [
        ['hardness' => 'very-hard', 'want' => '400 mL'],
        ['herb_mass' => 100, 'water_volume' => 1600, 'hours' => 8 / 3],
    ],
    '400 mL of soft leaf' => [
        ['hardness' => 'soft', 'want' => '400 mL'],
        ['herb_mass' => 133.333, 'water_volume' => 533.333, 'boil_off' => 133.333, 'hours' => 0.2963],
    ],
    '800 mL of water on seed' => [['hardness' => 'medium', 'water' => '800 mL'], ['herb_mass' => 100, 'end_volume' => 400]],
    'sixty litres' => [
        ['hardness' => 'very-hard', 'water' => '60.8 L'],
        ['end_volume' => 15_200, 'boil_off' => 45_600, 'hours' => 101.333],
    ],
]);

it('is the same whichever side it is begun from, and twice as much of all for twice as much', function () {
    mt_srand(7);
    for ($i = 0; $i < 60; $i++) {
        $hardness = ['soft', 'medium', 'very-hard'][mt_rand(0, 2)];
        $grams = mt_rand(50, 20_000) / 10;
        $one = boiledFigures('decoction', ['hardness' => $hardness, 'herb' => "{$grams} g"]);
        $twice = boiledFigures('decoction', ['hardness' => $hardness, 'herb' => 2 * $grams.' g']);
        $back = boiledFigures('decoction', ['hardness' => $hardness, 'want' => sprintf('%.6F mL', $one['end_volume'])]);
        $across = boiledFigures('decoction', ['hardness' => $hardness, 'water' => sprintf('%.6F mL', $one['water_volume'])]);
        foreach ($one as $id => $value) {
            expect($twice[$id])
                ->toEqualWithDelta(2 * $value, 1e-4 * max(1, $value), $id)
                ->and($back[$id])
                ->toEqualWithDelta($value, 1e-4 * max(1, $value), $id)
                ->and($across[$id])
                ->toEqualWithDelta($value, 1e-4 * max(1, $value), $id);
        }
        // The water there was is the water that is left and the water that went.
        expect($one['end_volume'] + $one['boil_off'])->toEqualWithDelta($one['water_volume'], 1e-6 * $one['water_volume']);
    }
});

it('goes by the hardest of a mixture, and says so; scent and powder are spoken of', function () {
    $mixed = ['herbs' => [['id' => 'oak-bark'], ['id' => 'nettle-leaf']], 'want' => '400 mL'];
    expect(boiled('decoction', $mixed)['hardness'])
        ->toBe('medium')
        ->and(boiled('decoction', ['herbs' => [['id' => 'nettle-leaf']], 'want' => '1 L'])['hardness'])
        ->toBe('soft')
        ->and(boiledNotes('decoction', $mixed))
        ->toContain('mixed-hardness')
        ->and(boiledNotes('decoction', ['herbs' => [['id' => 'nettle-leaf']], 'want' => '1 L']))
        ->not->toContain('mixed-hardness')
        ->and(boiledNotes('decoction', ['herbs' => [['id' => 'lavender']], 'want' => '1 L']))
        ->toContain('volatile')
        ->and(boiledFaults('decoction', ['herbs' => [['id' => 'turmeric', 'form' => 'powder']], 'want' => '1 L']))
        ->toBe(['herbs: never_so']);
    $figures = boiledFigures('decoction', $mixed);
    expect($figures['herb_mass.0'] + $figures['herb_mass.1'])->toEqualWithDelta($figures['herb_mass'], 1e-6);
});

// Worked by hand, common practice, no source: 1 kg : 4 L : 16 L, 450 mL an hour, six to ten hours a day.
it('cleanses the oil by its parts, in days that are told with their range', function () {
    $asked = ['stage' => 'cleanse', 'oil' => '7.68 L', 'ml_per_hour' => 450];
    $answer = boiled('long-oil', $asked);
    $found = boiledFigures('long-oil', $asked);
    expect($found['paste_mass'])
        ->toEqualWithDelta(1920, 0.01)
        ->and($found['water_volume'])
        ->toEqualWithDelta(30_720, 0.01)
        ->and($found['hours'])
        ->toEqualWithDelta(68.27, 0.01)
        ->and([$answer['figures']['days']['low'], $answer['figures']['days']['high']])
        ->toEqual([7.0, 12.0])
        ->and($found['pot_volume_least'])
        ->toEqualWithDelta(2 * (7680 + 30_720 + 1920 * 0.8), 0.1)
        ->and(boiledFigures('long-oil', ['stage' => 'cleanse', 'paste' => '1.92 kg', 'ml_per_hour' => 450])['oil_volume'])
        ->toEqualWithDelta(7680, 0.01)
        ->and(boiledFigures('long-oil', ['stage' => 'cook', 'decoction' => '30.72 L', 'ml_per_hour' => 450])['oil_volume'])
        ->toEqualWithDelta(7680, 0.01)
        ->and(array_column($answer['signs'], 'id'))
        ->toBe(['flame', 'froth', 'wick', 'senses']);
});

it('minds in water what is minded in oil', function (string $mode, array $asked, array $ids) {
    expect(
        array_values(array_intersect(array_column(boiled($mode, $asked)['notes'], 'id'), ['deadly', 'poison', 'daisy-family', 'rags'])),
    )->toBe($ids);
})->with([
    'what is deadly' => ['decoction', ['herbs' => [['id' => 'foxglove']], 'want' => '400 mL'], ['deadly', 'poison']],
    'a daisy' => ['decoction', ['herbs' => [['id' => 'chamomile']], 'want' => '400 mL'], ['daisy-family']],
    'a daisy in glycerin' => ['glycerin', ['total' => '100 g', 'herbs' => [['id' => 'chamomile']]], ['daisy-family']],
    'the paste' => ['long-oil', ['oil' => '1 L', 'paste_herbs' => [['id' => 'foxglove']]], ['deadly', 'poison']],
    'the decoction of a long oil' => ['long-oil', ['oil' => '1 L', 'decoct' => ['herbs' => [['id' => 'chamomile']]]], ['daisy-family']],
    'both, told once' => [
        'long-oil',
        ['oil' => '1 L', 'paste_herbs' => [['id' => 'chamomile']], 'decoct' => ['herbs' => [['id' => 'chamomile']]]],
        ['daisy-family'],
    ],
    'nothing of nothing' => ['decoction', ['hardness' => 'soft', 'want' => '400 mL'], []],
]);

it('makes as much as goes into the pot there is, where no amount is said', function (string $mode, array $asked) {
    $pot = ['pot' => ['diameter_mm' => 300.0, 'height_mm' => 250.0]];
    $answer = boiled($mode, $asked + $pot);
    $level = $answer['pot'] ?? $answer['stages'][0]['pot'];
    // It holds twice what goes in: it stands half way up.
    expect($level['starts_mm'])->toEqualWithDelta(125.0, 0.05);
    expect(boiledFaults($mode, $asked))->toBe(['want: missing']);
})->with([
    ['decoction', ['hardness' => 'soft']],
    ['decoction', ['hardness' => 'very-hard']],
    ['decoction', ['herbs' => [['id' => 'oak-bark']]]],
    ['long-oil', ['stage' => 'cleanse']],
    ['long-oil', ['stage' => 'cook', 'liquid' => 'milk']],
]);

it('marks the levels of the decoction in the pot of the long oil, or says in how many lots it is boiled', function () {
    $ask = fn (float $height): array => boiled('long-oil', [
        'stage' => 'whole',
        'oil' => '2.4 L',
        'decoct' => ['hardness' => 'medium'],
        'pot' => ['diameter_mm' => 360.0, 'height_mm' => $height],
    ]);
    // 9.6 L of it want 19.2 L of water and 2.4 kg of herb, which takes up 0.7 mL a g; 101.8 mL to the mm.
    $first = $ask(300.0)['stages'][0];
    expect($first['stage'])
        ->toBe('decoction')
        ->and($first['pot']['starts_mm'])
        ->toEqualWithDelta((19_200 + 1680) / ((M_PI * 18 ** 2) / 10), 0.06)
        ->and($first['pot']['ends_mm'])
        ->toEqualWithDelta((9600 + 1680) / ((M_PI * 18 ** 2) / 10), 0.06);
    // 180 mm boils over from 162 mm on, 16.5 L: two lots. The oil itself, 12.5 L, has room.
    $low = $ask(180.0);
    expect($low['stages'][0]['pot'])
        ->toBeNull()
        ->and($low['stages'][1]['pot'])
        ->not->toBeNull()
        ->and(array_column($low['notes'], 'says', 'id')['decoction-lots'])
        ->toContain('in 2 lots');
});

it('plans the whole of it: decoction, cleansing and cooking, each with its hours', function () {
    $asked = ['stage' => 'whole', 'oil' => '2.4 L', 'ml_per_hour' => 450, 'decoct' => ['hardness' => 'medium']];
    $found = boiledFigures('long-oil', $asked);
    expect($found['cleanse.water_volume'])
        ->toEqualWithDelta(9600, 0.01)
        ->and($found['cook.decoction_volume'])
        ->toEqualWithDelta(9600, 0.01)
        ->and($found['decoction.end_volume'])
        ->toEqualWithDelta(9600, 0.01)
        ->and($found['decoction.herb_mass'])
        ->toEqualWithDelta(2400, 0.01)
        ->and(boiled('long-oil', $asked)['hours'])
        ->toEqualWithDelta($found['cleanse.hours'] + $found['cook.hours'] + $found['decoction.hours'], 0.01);
});

it('lays its hours on days with somebody by, so many a day and none at night', function () {
    $asked = ['stage' => 'cleanse', 'oil' => '2.4 L', 'ml_per_hour' => 450, 'hours_a_day' => 6];
    $house = ['now' => '2026-11-24T15:00:00', 'waking' => ['from' => '07:00', 'to' => '20:00']];
    $days = boiled('long-oil', $asked + ['house' => $house])['days'];
    $hours = array_map(fn (array $day) => (strtotime($day['to']) - strtotime($day['from'])) / 3600, $days);
    expect(array_sum($hours))
        ->toEqualWithDelta(9600 / 450, 0.02)
        ->and(max($hours))
        ->toBeLessThanOrEqual(6.0)
        ->and($days[0]['from'])
        ->toStartWith('2026-11-24T15:00')
        // The evening ends the first day's five hours, and the next begins when somebody is up.
        ->and($hours[0])
        ->toEqualWithDelta(5.0, 0.01)
        ->and($days[1]['from'])
        ->toStartWith('2026-11-25T07:00');
});

it('has the cautions of it, and is stopped for the kitchen unless all of it is food', function () {
    $asked = ['stage' => 'cook', 'oil' => '1 L', 'liquid' => 'milk'];
    expect(boiledNotes('long-oil', $asked))
        ->toContain('flame')
        ->toContain('froth')
        ->toContain('water-spits')
        ->toContain('last-water')
        ->toContain('metals')
        ->and(boiledNotes('long-oil', ['liquid' => 'decoction'] + $asked))
        ->not->toContain('froth');
    $kitchen = fn (?array $paste) => boiledNotes(
        'long-oil',
        $asked + ['purpose' => 'kitchen'] + ($paste === null ? [] : ['paste_herbs' => $paste]),
    );
    expect($kitchen(null))
        ->toContain('kitchen-not-food')
        ->and($kitchen([['id' => 'ginger-root']]))
        ->not->toContain('kitchen-not-food')
        ->and($kitchen([['id' => 'ginger-root'], ['id' => 'poplar-bud']]))
        ->toContain('kitchen-not-food');
});

it('draws the pot to scale, and refuses one that boils over or is smaller than its water', function () {
    $pot = ['diameter_mm' => 260, 'height_mm' => 300];
    $asked = ['hardness' => 'medium', 'herb' => '500 g', 'pot' => $pot];
    $drawn = boiled('decoction', $asked)['pot'];
    $area = (M_PI / 4) * 0.26 ** 2 * 1000;
    expect($drawn['starts_mm'])
        ->toEqualWithDelta((4000 + 350) / $area, 0.1)
        ->and($drawn['ends_mm'])
        ->toEqualWithDelta((2000 + 350) / $area, 0.1)
        ->and($drawn['over_mm'])
        ->toEqualWithDelta(270.0, 0.1)
        ->and(boiledNotes('decoction', ['herb' => '1200 g'] + $asked))
        ->toContain('pot-half')
        ->and(boiledFaults('decoction', ['herb' => '1750 g'] + $asked))
        ->toBe(['pot: no_room'])
        ->and(boiledFaults('decoction', ['herb' => '5 kg'] + $asked))
        ->toBe(['pot: no_room']);
});

// The form of ASHRAE's handbook is tested where the Stove uses it; here a pot of 26 cm, kept under the boil, comes near to what cooks
// reckon with, 450 mL an hour: common practice, no source.
it('reckons with the width of the pot, near what cooks do for a household pot', function () {
    $pot = BoilingPot::measured(260, 200);
    $open = $pot->losesPerH(95, 100, 18, false, Tables::shipped());
    $oil = $pot->losesPerH(90, 95, 18, true, Tables::shipped());
    expect($open['low'])
        ->toBeLessThan($open['value'])
        ->and($oil['low'])
        ->toBeLessThan(450)
        ->and($oil['high'])
        ->toBeGreaterThan(450)
        ->and(BoilingPot::measured(520, 200)->losesPerH(95, 100, 18, false, Tables::shipped())['value'])
        ->toEqualWithDelta(4 * $open['value'], 0.01);
});

it('refuses what cannot be, by name', function (string $mode, array $asked, array $faults) {
    expect(boiledFaults($mode, $asked))->toBe($faults);
})->with([
    'nothing said of how much' => ['decoction', ['hardness' => 'soft'], ['want: missing']],
    'two amounts' => ['decoction', ['hardness' => 'soft', 'want' => '1 L', 'herb' => '20 g'], ['want: missing']],
    'neither herb nor hardness' => ['decoction', ['want' => '1 L'], ['herbs: missing']],
    'a rate of nothing' => ['decoction', ['hardness' => 'soft', 'want' => '1 L', 'ml_per_hour' => 0], ['ml_per_hour: out_of_range']],
    'forty hours a day' => ['long-oil', ['oil' => '1 L', 'stage' => 'cleanse', 'hours_a_day' => 40], ['hours_a_day: out_of_range']],
    'a liquid nobody knows' => ['long-oil', ['oil' => '1 L', 'liquid' => 'beer'], ['liquid: unknown']],
    'a pot as wide as a thumb' => [
        'decoction',
        ['hardness' => 'soft', 'want' => '1 L', 'pot' => ['diameter_mm' => 20, 'height_mm' => 300]],
        ['pot.diameter_mm: out_of_range'],
    ],
    'glycerin of 5 %' => ['glycerin', ['total' => '100 g', 'glycerin_share' => 0.05], ['glycerin_share: out_of_range']],
    'a level above the rim' => [
        'level',
        ['marks' => [['h' => 0, 'mm' => 310], ['h' => 1, 'mm' => 200]], 'pot' => ['diameter_mm' => 260, 'height_mm' => 300]],
        ['marks.0: out_of_range'],
    ],
    'a level that rises' => [
        'level',
        ['marks' => [['h' => 0, 'mm' => 200], ['h' => 1, 'mm' => 210]], 'pot' => ['diameter_mm' => 260, 'height_mm' => 300]],
        ['marks.1: rises'],
    ],
    'one mark' => ['level', ['marks' => [['h' => 0, 'ml' => 2000]]], ['marks: missing']],
    'a level that stands' => ['level', ['marks' => [['h' => 0, 'ml' => 2000], ['h' => 2, 'ml' => 2000]]], ['marks: no_rate']],
    'a stick without its pot' => ['level', ['marks' => [['h' => 0, 'mm' => 200], ['h' => 1, 'mm' => 190]]], ['pot: missing']],
    'an unknown field' => ['level', ['marks' => [['h' => 0, 'inches' => 2]]], ['marks.0.inches: unknown_field']],
]);
