<?php

declare(strict_types=1);

use Kettle\Ask\Questions;
use Kettle\Decoction\BoilDays;
use Kettle\Decoction\BoilingPot;
use Kettle\Decoction\Glycerite;
use Kettle\Decoction\LevelLog;
use Kettle\Diary\Availability;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;

/** @return array<string, mixed> */
function boiled(string $mode, array $asked): array
{
    return (new Questions(Tables::shipped()))->ask($mode, $asked, new DateTimeImmutable('2026-11-24T10:00:00Z'));
}

/** @return array<string, float> each figure's number, by id */
function boiledFigures(string $mode, array $asked): array
{
    return array_map(fn (array $figure): float => (float) $figure['value'], boiled($mode, $asked)['figures']);
}

/** @return list<string> */
function boiledFaults(string $mode, array $asked): array
{
    try {
        boiled($mode, $asked);

        return [];
    } catch (WishException $refused) {
        return array_map(fn (array $fault) => "{$fault['field']}: {$fault['reason']}", $refused->faults);
    }
}

/** @return list<string> */
function boiledNotes(string $mode, array $asked): array
{
    return array_column(boiled($mode, $asked)['notes'], 'id');
}

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

// Grover and Nicol 1940, and ASTM D5032, humidity over glycerin and water at 25 C, from memory: 50 % over 80 % glycerin, 70 % over
// 64, 80 % over 51, 90 % over 33. Norrish's form comes within five hundredths of them.
it('has the water activity of glycerin and water', function (float $share, float $published) {
    $found = Glycerite::of(100, $share, null, Tables::shipped())->waterActivity();
    expect($found)->toEqualWithDelta($published, 0.055);
})->with([[0.8, 0.5], [0.64, 0.7], [0.515, 0.8], [0.33, 0.9]]);

it('brings an extract to its share, by so much off or so much water', function () {
    $of = fn (array $more) => boiledFigures('glycerin', ['total' => '100 g'] + $more);
    expect($of([]))
        ->toMatchArray(['extract_mass' => 20.0, 'glycerin_mass' => 80.0])
        ->and($of(['extract_now' => '65 g', 'ml_per_hour' => 450]))
        ->toMatchArray(['evaporate_mass' => 45.0, 'add_water' => 0.0, 'hours' => 0.1])
        ->and($of(['extract_now' => '12 g']))
        ->toMatchArray(['evaporate_mass' => 0.0, 'add_water' => 8.0])
        // Glycerin at 20 C, 1.261 g/mL: CRC Handbook and the pharmacopoeias, from memory.
        ->and($of([])['glycerin_volume'])
        ->toEqualWithDelta(80 / 1.261, 0.001)
        ->and($of(['glycerin_share' => 60])['glycerin_mass'])
        ->toEqualWithDelta(60.0, 0.001);
});

it('says when it does not keep itself', function () {
    $weak = boiled('glycerin', ['total' => '100 g', 'glycerin_share' => 0.5]);
    $full = boiled('glycerin', ['total' => '100 g']);
    expect($weak['keeps_itself'])
        ->toBeFalse()
        ->and(array_column($weak['notes'], 'rank', 'id')['glycerin-not-kept'])
        ->toBe('stop')
        ->and($weak['figures']['keeps_days']['value'])
        ->toEqual(3.0)
        ->and($full['figures']['keeps_days']['value'])
        ->toEqual(365.0)
        ->and(boiled('glycerin', ['total' => '100 g', 'glycerin_share' => 0.6])['figures']['keeps_days']['value'])
        ->toBeLessThan(365.0);
});

it('answers which solvent, and whether it should be an oil at all', function () {
    $of = fn (string $herb, ?string $use = null) => boiled('solvents', ['herb' => $herb, 'use' => $use]);
    expect($of('marshmallow-root')['oil'])
        ->toBeFalse()
        ->and($of('marshmallow-root')['solvents'][0]['id'])
        ->toBe('water')
        ->and($of('poplar-bud')['oil'])
        ->toBeTrue()
        ->and($of('self-heal')['oil'])
        ->toBeFalse()
        ->and($of('monkshood')['oil'])
        ->toBeNull()
        // Into a salve only oil goes, whatever takes more.
        ->and($of('marshmallow-root', 'salve')['solvents'][0]['id'])
        ->toBe('oil')
        ->and(boiledFaults('solvents', ['herb' => 'poplar-bud', 'use' => 'soup']))
        ->toBe(['use: unknown']);
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

// scipy.stats.linregress and the t interval of its slope at 90 %, in Python, on the same marks.
it('learns the rate by least squares as a general library does', function () {
    mt_srand(11);
    for ($round = 0; $round < 6; $round++) {
        $marks = [];
        for ($i = 0, $n = mt_rand(3, 30); $i < $n; $i++) {
            $marks[] = ['h' => $i * 0.7, 'ml' => 9600 - 430 * $i * 0.7 + mt_rand(-30, 30)];
        }
        $log = LevelLog::of($marks, BoilingPot::measured(600, 300));
        $theirs = python(
            sprintf(
                'import json; from scipy import stats; m=json.loads(\'%s\'); '.
                    'r=stats.linregress([x["h"] for x in m],[x["ml"] for x in m]); '.
                    't=stats.t.ppf(.95,len(m)-2); print(json.dumps([-r.slope,r.intercept,-r.slope-t*r.stderr,-r.slope+t*r.stderr]))',
                json_encode($marks),
            ),
        );
        $rate = $log->rate();
        expect($rate['value'])
            ->toEqualWithDelta($theirs[0], 1e-6)
            ->and($log->startMl)
            ->toEqualWithDelta($theirs[1], 1e-5)
            // The half of its range, by a table of t to a thousandth.
            ->and(($rate['high'] - $rate['low']) / ($theirs[3] - $theirs[2]))
            ->toEqualWithDelta(1.0, 0.001);
    }
});

it('foretells the end with a range that holds it nine times in ten', function () {
    mt_srand(3);
    $held = 0;
    for ($round = 0; $round < 300; $round++) {
        $marks = [];
        for ($i = 0; $i < 8; $i++) {
            // Twelve throws of a die are near enough a normal.
            $noise = array_sum(array_map(fn () => mt_rand(0, 1000) / 1000, range(1, 12))) - 6;
            $marks[] = ['h' => $i * 1.0, 'ml' => 9600 - 420 * $i + 25 * $noise];
        }
        $end = LevelLog::of($marks, BoilingPot::measured(600, 300))->end(2400);
        $held += $end['low'] <= 7200 / 420 && 7200 / 420 <= $end['high'] ? 1 : 0;
    }
    expect($held)->toBeGreaterThan(255)->toBeLessThan(290);
});

it('is longer in doubt than it is short, and has no end where the marks do not bound one', function () {
    $of = fn (array $ml) => LevelLog::of(array_map(fn (float $each, int $h) => ['h' => (float) $h, 'ml' => $each], $ml, array_keys($ml)));
    // By hand, Fieller: of 1000, 880, 820 and 700 the slope is -96, s = sqrt(360), t = 2.920 and g = 0.0666; at nothing after
    // 10.354 h, between 8.520 and 13.452.
    $end = $of([1000.0, 880.0, 820.0, 700.0])->end(0.0);
    expect($end['value'])
        ->toEqualWithDelta(10.354, 0.001)
        ->and($end['low'])
        ->toEqualWithDelta(8.52, 0.003)
        ->and($end['high'])
        ->toEqualWithDelta(13.452, 0.003)
        ->and($of([1000.0, 999.0, 700.0, 699.0])->end(0.0)['high'])
        ->toBeNull();
});

it('does not take more of a day than was said, however the day is broken', function () {
    $zone = new DateTimeZone('Europe/London');
    $day = fn (string $at) => new DateTimeImmutable($at, $zone);
    // Away from eleven to three: two stretches of the first day, and no third hour too many.
    $there = Availability::between('07:00', '21:00')->without([[$day('2026-11-25 11:00'), $day('2026-11-25 15:00')]]);
    $days = BoilDays::lay(9.0, 6.0, $day('2026-11-25 07:00'), $there);
    $said = array_map(fn ($each) => $each->from->format('j H:i').' to '.$each->to->format('H:i'), $days);
    expect($said)->toBe(['25 07:00 to 11:00', '25 15:00 to 17:00', '26 07:00 to 10:00']);
});

it('has no range of two marks, and says nothing it does not know', function () {
    $level = boiled('level', ['marks' => [['h' => 0, 'g' => 5000], ['h' => 2, 'g' => 4100]], 'end_g' => 1000]);
    expect($level['ml_per_hour'])
        ->toBe(['low' => null, 'value' => 450.0, 'high' => null])
        ->and($level['more_h']['value'])
        ->toEqualWithDelta(3100 / 450, 0.001)
        ->and($level['left_ml'])
        ->toEqualWithDelta(3100.0, 0.001);
});

// The four signs, common practice, no source: each by hand, for oil and for butterfat.
it('is done when four signs agree, and says why not', function (array $seen, string $verdict, array $why, ?string $firmness) {
    $found = boiled('done', $seen);
    expect([$found['verdict'], array_column($found['why'], 'id'), $found['firmness']])->toBe([$verdict, $why, $firmness]);
    foreach ([$found['says'], ...array_column($found['why'], 'says')] as $says) {
        expect($says)->not->toBe('');
    }
})->with([
    'all four' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'right'], 'done', [], 'middle'],
    'all four of butterfat' => [
        ['flame' => 'quiet', 'froth' => 'none', 'wick' => 'rolls', 'senses' => 'right', 'fat' => 'butterfat'],
        'done',
        [],
        'middle',
    ],
    'froth on butterfat' => [
        ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'right', 'fat' => 'butterfat'],
        'not-yet',
        ['froth-butterfat'],
        'middle',
    ],
    'three and nobody looked' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls'], 'not-yet', ['look-senses'], 'middle'],
    'water in it' => [
        ['flame' => 'crackles', 'froth' => 'none', 'wick' => 'sticks', 'senses' => 'raw'],
        'not-yet',
        ['flame-crackles', 'froth-oil', 'wick-sticks', 'senses-raw'],
        null,
    ],
    'moist still' => [
        ['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'breaks', 'senses' => 'right'],
        'not-yet',
        ['wick-breaks'],
        'soft',
    ],
    'crumbled' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'crumbles', 'senses' => 'right'], 'past', ['wick-crumbles'], 'hard'],
    'burnt' => [['flame' => 'quiet', 'froth' => 'stands', 'wick' => 'rolls', 'senses' => 'burnt'], 'past', ['senses-burnt'], 'middle'],
    'nothing looked at' => [[], 'not-yet', ['look-flame', 'look-froth', 'look-wick', 'look-senses'], null],
]);
