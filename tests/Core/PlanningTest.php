<?php

use Opis\JsonSchema\Validator;
use Tests\Core\Support;

it('plans the pint of marshmallow root by hand-worked figures', function () {
    // 398.0 mL below 25 mm of headspace; 5 + 1/1.4 = 5.714 mL for each gram; 69.65 g; 348.3 mL.
    $plan = Support::plan([
        'jar' => '473',
        'method' => 'slow-cooker',
        'oils' => [['id' => 'sunflower', 'parts' => 2], ['id' => 'jojoba', 'parts' => 1]],
        'purpose' => 'salve',
    ]);
    $figure = fn (string $id) => $plan->figures[$id]->number();
    expect($figure('herb_mass'))
        ->toEqualWithDelta(69.65, 0.01)
        ->and($figure('oil_volume'))
        ->toEqualWithDelta(348.26, 0.01)
        ->and($figure('oil_volume.sunflower'))
        ->toEqualWithDelta(232.17, 0.01)
        ->and($figure('oil_mass'))
        ->toEqualWithDelta(348.257 * 0.902, 0.01)
        // 348.26 - 1.2 x 69.65 - 5 mL; 90 % of a normal is 1.645 deviations of 0.35 x 69.65.
        ->and($figure('yield_volume'))
        ->toEqualWithDelta(259.68, 0.01)
        ->and((float) $plan->figures['yield_volume']->high - $figure('yield_volume'))
        ->toEqualWithDelta(40.1, 0.1)
        ->and($figure('warm_hours'))
        ->toBe(12.0);
});

it('solves for any unknown and comes back to where it began', function (string $herb, string $ratio) {
    $grams = 23.7;
    $first = Support::plan(['herb' => ['id' => $herb, 'amount' => "{$grams} g"], 'ratio' => $ratio]);
    $oil = $first->figures['oil_volume']->number();
    $fromOil = Support::plan(['herb' => ['id' => $herb], 'oil_amount' => "{$oil} mL", 'ratio' => $ratio]);
    expect($fromOil->figures['herb_mass']->number())->toEqualWithDelta($grams, 1e-6);
    $fromBoth = Support::plan(['herb' => ['id' => $herb, 'amount' => "{$grams} g"], 'oil_amount' => "{$oil} mL"]);
    expect($fromBoth->amounts->ratio->parts)->toEqualWithDelta((float) substr($ratio, 2), 1e-6);
})->with([['marshmallow-root', '1:5'], ['self-heal', '1:7'], ['linden-blossom', '1:10'], ['poplar-bud', '1:4.5']]);

it('keeps mass and scales', function () {
    $small = Support::plan([
        'herb' => ['id' => 'self-heal', 'amount' => '20 g'],
        'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'sesame', 'parts' => '1']],
    ]);
    $large = Support::plan([
        'herb' => ['id' => 'self-heal', 'amount' => '60 g'],
        'oils' => [['id' => 'olive', 'parts' => '3'], ['id' => 'sesame', 'parts' => '1']],
    ]);
    foreach (['herb_mass', 'oil_volume', 'oil_mass', 'oil_mass.olive', 'oil_volume.sesame'] as $id) {
        expect($large->figures[$id]->number())->toEqualWithDelta(3 * $small->figures[$id]->number(), 1e-9);
    }
    expect($small->figures['oil_mass.olive']->number() + $small->figures['oil_mass.sesame']->number())->toEqualWithDelta(
        $small->figures['oil_mass']->number(),
        1e-9,
    );
});

it('takes the smallest jar that leaves the headspace', function () {
    expect(Support::plan(['herb' => ['id' => 'marshmallow-root', 'amount' => '70 g'], 'method' => 'slow-cooker'])->amounts->jar->id)
        ->toBe('750')
        ->and(Support::plan(['herb' => ['id' => 'marshmallow-root', 'amount' => '60 g'], 'method' => 'slow-cooker'])->amounts->jar->id)
        ->toBe('473');
});

it('counts back from the day it is wanted', function () {
    // Four weeks and a day to settle before 31 December: 2 December, and strained on the 30th.
    $cold = Support::plan(['ready_by' => '2026-12-31', 'method' => 'cold']);
    expect($cold->figures['start_by']->text())
        ->toBe('2026-12-02')
        ->and($cold->figures['strain_by']->text())
        ->toBe('2026-12-30');
    $late = Support::plan(['ready_by' => '2026-12-12', 'method' => 'cold']);
    expect(array_column($late->notes, 'id'))
        ->toContain('late')
        ->and(Support::said($late->sentenceText()))
        ->toContain('ready by Saturday 12 December');
});

it('splits a long warmth over waking hours only', function () {
    $plan = Support::plan(['method' => 'double-boiler', 'school' => 'long']);
    $minutes = 0;
    foreach ($plan->timetable->sessions as $session) {
        $minutes += ($session->to->getTimestamp() - $session->from->getTimestamp()) / 60;
        expect($session->from->format('H:i') >= '07:00')
            ->toBeTrue()
            ->and($session->to->format('H:i') <= '22:30')
            ->toBeTrue()
            ->and($session->from->format('Y-m-d'))
            ->toBe($session->to->format('Y-m-d'));
    }
    // A day and a night at warmth, and each time as long again to get warm as the figure says.
    $warmUp = $plan->figures['warm_up']->number();
    expect($warmUp)
        ->toBeGreaterThan(20.0)
        ->and(count($plan->timetable->sessions))
        ->toBe(2)
        ->and($minutes)
        ->toEqualWithDelta(24 * 60 + 2 * $warmUp, 0.5);
});

it('waits in warmth for the morning rather than heating a stub tonight', function () {
    $plan = Support::plan(['method' => 'slow-cooker', 'school' => 'usual'], ['now' => '2026-11-24T17:00:00+00:00']);
    expect($plan->timetable->sessions)
        ->toHaveCount(1)
        ->and($plan->timetable->sessions[0]->from->format('Y-m-d H:i'))
        ->toBe('2026-11-25 07:00');
});

it('keeps the clock over the end of summer time', function () {
    // In London the clocks go back on 25 October 2026; four weeks after is the same hour by the wall.
    $plan = Support::plan(['method' => 'cold'], ['now' => '2026-10-10T10:00:00+01:00']);
    expect($plan->timetable->strainAt->format('Y-m-d H:i T'))->toBe('2026-11-07 09:00 GMT');
});

it('lets the weakest oil decide how long it keeps', function () {
    $plan = Support::plan(['oils' => ['sunflower', 'jojoba'], 'method' => 'cold', 'school' => 'two-weeks']);
    // Poured on 24 November 2026; sunflower, opened, six months (from memory), two weeks of them on the herb.
    expect($plan->figures['best_before']->text())->toBe('2027-05-24');
    $jojoba = Support::plan(['oils' => ['jojoba'], 'method' => 'cold', 'school' => 'two-weeks']);
    expect($jojoba->figures['best_before']->text())->toBe('2028-12-08');
});

it('says every figure with words, a source and the schema’s shape', function (array $wish) {
    $kitchen = Support::kitchen();
    $document = Support::planning()->document(Support::plan($wish), $kitchen);
    $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/formats/plan.schema.json'));
    $result = (new Validator())->validate(json_decode((string) json_encode($document)), $schema);
    expect($result->isValid())->toBeTrue();
    foreach ($document['figures'] as $figure) {
        foreach ($figure['reasons'] as $reason) {
            expect($reason['says'])->not->toContain('{')->and($reason['source'])->not->toBe('');
        }
    }
})->with([
    [['jar' => '473']],
    [['method' => 'slow-cooker', 'oils' => ['coconut']]],
    [['method' => 'double-boiler', 'school' => 'long']],
    [['herb' => ['name' => 'meadow something', 'form' => 'twig', 'amount' => '1 cup'], 'oil_amount' => '2 cups']],
    [['ready_by' => '2027-03-01', 'oils' => ['sweet-almond', 'sesame']]],
]);

it('refuses with the field and the reason', function (array $wish, string $fault) {
    expect(Support::faults($wish))->toContain($fault);
})->with([
    'negative' => [['herb' => ['id' => 'self-heal', 'amount' => '-5 g']], 'herb.amount: not_above_zero'],
    'zero' => [['oil_amount' => '0 mL'], 'oil_amount: not_above_zero'],
    'a tonne' => [['herb' => ['id' => 'self-heal', 'amount' => '1 tonne']], 'herb.amount: too_much'],
    'no number' => [['oil_amount' => 'some'], 'oil_amount: unreadable'],
    'mixed units' => [['oil_amount' => '1 cup + 3 oz'], 'oil_amount: mixed_units'],
    'ratio off the scale' => [['ratio' => '1:90'], 'ratio: out_of_range'],
    'herb stands out' => [['herb' => ['id' => 'linden-blossom'], 'ratio' => '1:5', 'jar' => '473'], 'ratio: herb_stands_out'],
    'a ratio no jar can hold' => [['ratio' => '1:1'], 'ratio: herb_stands_out'],
    'too much for the jar' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '400 g'], 'jar' => '473'], 'jar: does_not_fit'],
    'too much for a dozen jars' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '9 kg'], 'ratio' => '1:9'], 'herb: too_much'],
    'too much for the jars of the house' => [['herb' => ['id' => 'marshmallow-root', 'amount' => '8 kg']], 'jar: does_not_fit'],
    'a jar that is gone' => [['jar' => 'gone'], 'jar: unknown'],
    'the past' => [['ready_by' => '2026-11-01'], 'ready_by: in_the_past'],
    'no such day' => [['start' => '2026-02-31'], 'start: unreadable'],
    'a far day' => [['start' => '2036-02-01'], 'start: out_of_range'],
    'start after ready' => [['start' => '2026-12-30', 'ready_by' => '2026-12-01'], 'ready_by: in_the_past'],
    'three that disagree' => [
        ['herb' => ['id' => 'marshmallow-root', 'amount' => '50 g'], 'oil_amount' => '300 mL', 'ratio' => '1:5'],
        'ratio: disagree',
    ],
    'solid fat on the shelf' => [['oils' => ['coconut'], 'method' => 'cold'], 'method: solid_oil'],
    'not for the kitchen' => [['herb' => ['id' => 'mugwort'], 'purpose' => 'kitchen'], 'purpose: not_for_the_kitchen'],
    'no such state' => [['herb' => ['id' => 'self-heal', 'state' => 'boiled']], 'herb.state: unknown'],
    'fresh powder' => [['herb' => ['id' => 'turmeric', 'state' => 'fresh']], 'herb.state: never_so'],
    'fresh for the kitchen' => [['herb' => ['id' => 'basil', 'state' => 'fresh'], 'purpose' => 'kitchen'], 'purpose: botulism'],
    'unknown oil' => [['oils' => ['petrol']], 'oils: unknown'],
    'no oil' => [['oils' => []], 'oils: missing'],
    'a list for a text' => [['method' => ['x']], 'method: unreadable'],
    'parts of nothing' => [['oils' => [['id' => 'olive', 'parts' => '0'], ['id' => 'sesame', 'parts' => '0']]], 'oils: out_of_range'],
]);

it('gathers every fault at once', function () {
    expect(Support::faults(['oil_amount' => '-1', 'ratio' => 'x', 'ready_by' => '1999-01-01']))->toHaveCount(3);
});

it('reckons from the command line without web or database', function () {
    $run = function (string $wish): array {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 2).'/bin/reckon.php'],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            null,
            ['PATH' => getenv('PATH')],
        );
        fwrite($pipes[0], $wish);
        fclose($pipes[0]);
        $out = stream_get_contents($pipes[1]);

        return [proc_close($process), json_decode((string) $out, true)];
    };
    [$code, $plan] = $run('{"herb":{"id":"self-heal","amount":"50 g"},"oils":["olive"],"ratio":"1:6"}');
    expect($code)->toBe(0)->and($plan['figures']['oil_volume']['value'])->toEqual(300);
    foreach (
        [
            '',
            'nonsense',
            '[]',
            '{"herb":{"id":"self-heal"},"oils":["olive"],"house":{"time_zone":"Mars/Base"}}',
            '{"herb":7,"oils":{"a":{}}}',
        ] as $bad
    ) {
        [$code, $answer] = $run($bad);
        expect($code)->toBe(2)->and($answer['faults'][0]['sentence'])->toMatch('/\.$/');
    }
});
