<?php

use Kettle\Infusion\Methods;
use Kettle\Material\Tables;
use Kettle\Recipe\Steps;
use Kettle\Recipe\WishException;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\Jar;
use Kettle\Vessel\WaterBath;
use Kettle\Warmth\Band;
use Kettle\Warmth\Heater;
use Kettle\Warmth\Load;
use Kettle\Warmth\Pot;
use Kettle\Warmth\PotRun;
use Tests\Core\Support;

require_once dirname(__DIR__).'/Runs.php';

/** @return array<string, string> the steps of a plan, by id */
function stepsOf(array $wish, array $house = []): array
{
    return array_column(Support::said(Steps::of(Support::plan($wish, $house)), Support::kitchen($house)), 'says', 'id');
}

const IN_THE_PAN = ['herb' => ['id' => 'self-heal', 'state' => 'fresh'], 'oils' => ['olive'], 'method' => 'gentle-pan'];

it('makes what is done in a pan in a pan', function () {
    $plan = Support::plan(IN_THE_PAN);
    // Made small, as the trade says: a quarter of a litre where nobody said how much.
    expect($plan->amounts->jar->kind)
        ->toBe(Jar::PAN)
        ->and($plan->amounts->oilMl)
        ->toBe(250.0)
        ->and(Support::said($plan->sentenceText()))
        ->toContain('24 cm wide pan')
        ->not->toContain('jar')
        ->and(array_key_exists('cover', $plan->figures))
        ->toBeFalse()
        ->and(array_key_exists('headspace', $plan->figures))
        ->toBeFalse()
        // A litre of 24 cm across stands 2.2 cm high: a quarter of it and its herb, under a centimetre.
        ->and($plan->figures['level_height']->number())
        ->toBeLessThan(10.0);
    $steps = stepsOf(IN_THE_PAN);
    expect($steps['fill'])
        ->toBe('Put it in the 24 cm wide pan.')
        ->and($steps['level'])
        ->toStartWith('Stir it through.')
        ->and($steps['tag'])
        ->toContain('the jar it is strained into')
        ->and(implode(' ', $steps))
        ->not->toContain('pint')
        ->not->toContain('rim');
});

it('takes an amount that was said, in a pan that holds it', function () {
    expect(Support::plan([...IN_THE_PAN, 'oil_amount' => '2 L'])->amounts->jar->id)
        ->toBe('pan-28')
        ->and(Support::plan([...IN_THE_PAN, 'oil_amount' => '100 mL'])->amounts->oilMl)
        ->toBe(100.0);
});

it('puts no jar on a flame, and no pan on a shelf', function (array $wish, string $field, string $says) {
    try {
        Support::plan($wish);
        expect('it was planned')->toBe('it was refused');
    } catch (WishException $refused) {
        expect($refused->faults[0]['field'])->toBe($field)->and($refused->faults[0]['sentence'])->toContain($says);
        $way = $refused->faults[0]['ways'][0];
        // The way out leads out.
        expect(
            Support::plan(array_filter([...$wish, ...$way['change']], fn (mixed $value) => $value !== null))->amounts->jar->called,
        )->not->toBe('');
    }
})->with([
    'a jar over a flame' => [[...IN_THE_PAN, 'jar' => '473'], 'jar', 'it would crack'],
    'the jar way in a pan' => [[...IN_THE_PAN, 'by_jar' => ['fill' => 'half']], 'by_jar', 'no shoulder'],
    'a pan on the shelf' => [['jar' => 'pan-24'], 'jar', 'closed or covered'],
    'a bowl on the sill' => [['jar' => 'bowl-750', 'method' => 'solar'], 'jar', 'closed or covered'],
]);

it('hangs a bowl in steaming water, half way up, put in cold', function () {
    $plan = Support::plan(['method' => 'double-boiler']);
    expect($plan->amounts->jar->kind)->toBe(Jar::BOWL)->and(Support::said($plan->sentenceText()))->toContain('750 mL glass bowl');
    // Somebody who stands a jar in it may.
    expect(Support::plan(['method' => 'double-boiler', 'jar' => '473'])->amounts->jar->kind)->toBe(Jar::JAR);
    $cooker = Cooker::measured('pot', 'the pot', 'round', 240, 240, 140);
    $bowl = [
        'called' => 'bowl',
        'brim_ml' => 750.0,
        'height_mm' => 75.0,
        'diameter_mm' => 112.8,
        'level_mm' => 50.0,
        'bed_mm' => 40.0,
        'contents_g' => 500.0,
    ];
    // 75 mm inside and 3 mm of glass above and below: 81, of which the half is 40.5.
    expect(WaterBath::of($cooker, [$bowl], 'half')->fullMm)->toEqualWithDelta(40.5, 1e-9);
});

it('pours no water where a thing holds its own warmth', function () {
    $cooker = Cooker::measured('inc', 'the incubator', 'round', 220, 220, 130);
    $jar = [
        'called' => 'jar',
        'brim_ml' => 250.0,
        'height_mm' => 85.0,
        'diameter_mm' => 61.0,
        'level_mm' => 60.0,
        'bed_mm' => 50.0,
        'contents_g' => 200.0,
    ];
    $dry = WaterBath::of($cooker, [$jar, $jar], WaterBath::NONE);
    expect($dry->isDry())
        ->toBeTrue()
        ->and($dry->waterMl($dry->fullMm))
        ->toBe(0.0)
        ->and($dry->openM2())
        ->toBe(0.0)
        ->and($dry->heldByFloating)
        ->toBeFalse()
        ->and(array_column($dry->jars, 'floats_at'))
        ->toBe([null, null])
        ->and(count($dry->jars))
        ->toBe(2);
    // And its model runs without: what comes in goes into the vessel, the jars and the room. 15 W over 0.6 W/K end 25 K above it.
    $pot = Pot::of([
        'watts' => 15.0,
        'loss_w_per_k' => 0.6,
        'vessel_j_per_k' => 600.0,
        'water_kg' => 0.0,
        'open_m2' => 0.0,
        'jars_j_per_k' => 1050.0,
        'jars_w_per_k' => 0.4,
        'room_c' => 18.0,
    ]);
    $run = PotRun::of($pot, 24.0);
    expect($pot->steady())
        ->toEqualWithDelta(43.0, 0.01)
        ->and($run->settles())
        ->toEqualWithDelta(43.0, 0.05)
        ->and(waterLost($run))
        ->toBe(0.0)
        ->and($run->joules['in'])
        ->toEqualWithDelta($run->joules['stored'] + $run->joules['lost'], 0.01 * $run->joules['in']);
    $heater = new Heater($cooker, [['name' => 'on', 'watts' => 15.0]], 0.6, 600.0, water: false);
    $load = Load::jars(1, 61, 85, 60, 0.2, 0.0);
    $fine =
        PotRun::of(
            Pot::of([
                'watts' => 15.0,
                'loss_w_per_k' => 0.6,
                'vessel_j_per_k' => 600.0,
                'water_kg' => 0.0,
                'open_m2' => 0.0,
                'jars_j_per_k' => $load->jPerK,
                'jars_w_per_k' => $load->wPerK,
                'room_c' => 18.0,
            ]),
            12.0,
        )->reaches(37.0) / 60;
    expect($heater->warmUp($load, Band::about(43, 45), 18.0)['min'])->toEqualWithDelta($fine, 0.05 * $fine + 2);
});

it('says of every method what it is done in and how far the water goes', function () {
    // By hand, from the trade: jars but for the bowl and the pan; water to the rim, half way, or none.
    $said = array_map(
        fn ($method) => [implode('/', $method->wants->vessels), $method->warming->water],
        Methods::of(Tables::shipped())->all(),
    );
    expect($said)->toBe([
        'cold' => ['jar', ''],
        'double-boiler' => ['bowl/jar', 'half'],
        'slow-cooker' => ['jar', 'rim'],
        'solar' => ['jar', ''],
        'water-bath' => ['jar', 'rim'],
        'poured-hot' => ['jar', ''],
        'gentle-pan' => ['pan', ''],
        'incubator' => ['jar', ''],
    ]);
});
