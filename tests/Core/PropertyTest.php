<?php

use Kettle\Diary\Availability;
use Kettle\Diary\Routine;
use Kettle\Diary\Timetable;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Uptake;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Recipe\WishException;
use Tests\Core\Support;

/*
 * What must hold for every plan, tried over every form, jar, method and a spread of ratios. A plan may
 * be refused, but then with a sentence; what is not refused must keep every line below.
 */
it('keeps its promises for every form, jar and method', function (string $form) {
    $planned = $refused = 0;
    foreach (['125', '237', '473', '946', '1893'] as $jar) {
        foreach (['cold', 'double-boiler', 'slow-cooker'] as $method) {
            foreach ([null, '1:3', '1:5', '1:7', '1:9', '1:14'] as $ratio) {
                try {
                    $plan = Support::plan([
                        'herb' => ['name' => 'some herb', 'form' => $form],
                        'jar' => $jar,
                        'method' => $method,
                        'ratio' => $ratio,
                    ]);
                } catch (WishException $refusal) {
                    expect($refusal->faults[0]['sentence'])->toMatch('/^[A-Z].*\.$/u');
                    $refused++;

                    continue;
                }
                $planned++;
                $figure = fn (string $id) => $plan->figures[$id]->number();
                // The jar is filled to its headspace, the herb is covered, and nothing is above the rim.
                expect($figure('headspace'))
                    ->toEqualWithDelta($plan->wish->method->wants->headspaceMm, 1e-6)
                    ->and($figure('cover'))
                    ->toBeGreaterThan(0)
                    ->and($figure('level_height'))
                    ->toBeLessThan($plan->amounts->jar->heightMm)
                    ->and($figure('cover'))
                    ->toEqualWithDelta($figure('level_height') - $figure('bed_height'), 1e-9);
                // What is asked to be poured, weighed, stands and comes out agrees.
                expect($figure('oil_volume') / $figure('herb_mass'))
                    ->toEqualWithDelta($plan->amounts->ratio->parts, 1e-6)
                    ->and($figure('yield_volume'))
                    ->toBeGreaterThanOrEqual(0)
                    ->and($figure('yield_volume'))
                    ->toBeLessThan($figure('oil_volume'))
                    ->and((float) $plan->figures['yield_volume']->low)
                    ->toBeLessThanOrEqual($figure('yield_volume'))
                    ->and((float) $plan->figures['yield_volume']->high)
                    ->toBeLessThanOrEqual($figure('oil_volume'));
                // Days come in their order.
                $days = array_map(fn (string $id) => $plan->figures[$id]->text(), ['start_by', 'strain_by', 'best_before']);
                $sorted = $days;
                sort($sorted);
                expect($days)
                    ->toBe($sorted)
                    ->and($plan->timetable->settledAt > $plan->timetable->strainAt)
                    ->toBeTrue();
                // A thin cover is told.
                expect(in_array('cover', array_column($plan->notes, 'id'), true))->toBe(
                    $figure('cover') < 0.1 * $figure('bed_height') - 0.5,
                );
            }
        }
    }
    expect($planned)
        ->toBeGreaterThan(20)
        ->and($planned + $refused)
        ->toBe(90);
})->with(fn () => array_map(fn (string $id) => [$id], array_keys((new Cupboard(Tables::shipped()))->forms())));

it('names the very latest start: a day later would be late', function (string $method, string $school) {
    $waking = Availability::between('07:00', '22:30');
    $chosen = Methods::of(Tables::shipped())->method($method);
    $hours = $chosen->variant($school)->usualH;
    foreach (['2026-12-12', '2027-03-30', '2027-11-01', '2028-03-01'] as $day) {
        $ready = new DateTimeImmutable($day, new DateTimeZone('Europe/London'));
        $start = Timetable::latestStart(new Routine($chosen, $hours), $ready, $waking);
        $readyOn = fn (DateTimeImmutable $from) => Timetable::lay(
            new Routine($chosen, $hours),
            $waking->midMorning($from),
            $waking,
        )->readyDay();
        expect($readyOn($start) <= $ready)
            ->toBeTrue("{$day} begun {$start->format('Y-m-d')}")
            ->and($readyOn($start->modify('+1 day')) > $ready)
            ->toBeTrue("{$day} might begin a day later");
    }
})->with([
    ['cold', 'two-weeks'],
    ['cold', 'four-weeks'],
    ['cold', 'six-weeks'],
    ['double-boiler', 'quick'],
    ['double-boiler', 'usual'],
    ['double-boiler', 'long'],
    ['slow-cooker', 'gentle'],
    ['slow-cooker', 'usual'],
    ['slow-cooker', 'woody'],
    ['slow-cooker', 'hot'],
]);

it('heats only in waking hours, never less nor more than asked, at any time of day and in any house', function () {
    $methods = Methods::of(Tables::shipped());
    foreach ([['07:00', '22:30'], ['05:30', '20:00'], ['10:00', '23:59'], ['08:00', '12:00']] as [$from, $to]) {
        $waking = Availability::between($from, $to);
        foreach (['double-boiler', 'slow-cooker'] as $id) {
            $method = $methods->method($id);
            foreach ($method->variants as $school) {
                foreach (range(0, 23, 3) as $hour) {
                    $start = new DateTimeImmutable(sprintf('2026-10-24T%02d:20:00', $hour), new DateTimeZone('Europe/London'));
                    $times = Timetable::lay(new Routine($method, $school->usualH), $start, $waking);
                    $minutes = 0;
                    $end = $times->fillAt;
                    foreach ($times->sessions as $session) {
                        expect($session->from >= $end)
                            ->toBeTrue()
                            ->and($session->from->format('H:i') >= $from && $session->to->format('H:i') <= $to)
                            ->toBeTrue("{$id} {$school->id} at {$hour} in {$from} to {$to}");
                        $minutes += ($session->to->getTimestamp() - $session->from->getTimestamp()) / 60;
                        $end = $session->to;
                    }
                    expect($minutes)
                        ->toEqualWithDelta($school->usualH * 60, 1.0)
                        ->and($times->strainAt >= $end)
                        ->toBeTrue()
                        ->and($times->strainAt->format('H:i') >= $from && $times->strainAt->format('H:i') <= $to)
                        ->toBeTrue();
                }
            }
        }
    }
});

it('gives the central nine in ten of a normal', function () {
    // The 0.95 quantile of the standard normal is 1.6449 (any table of the normal distribution).
    $uptake = Uptake::by('squeezed', Tables::shipped());
    $yield = $uptake->yield(500, 80);
    expect($yield['value'])
        ->toEqualWithDelta(500 - 1.2 * 80 - 5, 1e-9)
        ->and($yield['high'] - $yield['value'])
        ->toEqualWithDelta(1.6449 * 0.35 * 80, 1e-6)
        ->and($yield['value'] - $yield['low'])
        ->toEqualWithDelta(1.6449 * 0.35 * 80, 1e-6);
    $dry = $uptake->yield(20, 80);
    expect($dry['low'])->toBe(0.0)->and($dry['value'])->toBe(0.0);
    // Drained leaves more in the herb than squeezed, and squeezed more than pressed: common practice, no source.
    $out = fn (string $way) => Uptake::by($way, Tables::shipped())->yield(500, 80)['value'];
    expect($out('drained'))->toBeLessThan($out('squeezed'))->and($out('squeezed'))->toBeLessThan($out('pressed'));
});

it('gives the same answer however the same amount is written', function () {
    $ways = ['120 g', '0.12 kg', '120000 mg', '4.232875 oz', '0 lb 4.232875 oz'];
    $oils = array_map(
        fn (string $typed) => round(
            Support::plan(['herb' => ['id' => 'marshmallow-root', 'amount' => $typed]])->figures['oil_volume']->number(),
            2,
        ),
        $ways,
    );
    expect(array_unique($oils))->toBe([600.0]);
    $oil = fn (string $typed, array $house = []) => Support::plan(['oil_amount' => $typed], $house)->figures['oil_volume']->number();
    expect($oil('1 cup'))
        ->toEqualWithDelta(236.588, 0.001)
        ->and($oil('1 cup', ['measures' => 'metric']))
        ->toEqualWithDelta(250, 1e-9)
        ->and($oil('1 pint', ['measures' => 'imperial']))
        ->toEqualWithDelta(568.26125, 1e-6)
        // 300 g of sunflower at 20 C, 0.920 g/mL (Codex 0.918 to 0.923).
        ->and($oil('300 g'))
        ->toEqualWithDelta(300 / 0.92, 1e-6);
});

it('keeps its promises for mixes, states, ways and several jars too', function (string $state, string $second) {
    $planned = 0;
    foreach (['473', '1893'] as $jar) {
        foreach (['cold', 'slow-cooker', 'incubator'] as $method) {
            foreach ([null, '1'] as $jars) {
                foreach ([null, '1:12', '1:20'] as $ratio) {
                    foreach (['dry', 'as-it-lies'] as $basis) {
                        $wish = [
                            'herbs' => [['id' => 'plantain-leaf', 'state' => $state, 'parts' => '2'], ['id' => $second]],
                            'oils' => ['olive', 'jojoba'],
                            'jar' => $jar,
                            'jars' => $jars === null ? '3' : $jars,
                            'method' => $method,
                            'ratio' => $ratio,
                            'basis' => $basis,
                        ];
                        try {
                            $plan = Support::plan($wish);
                        } catch (WishException $refusal) {
                            expect($refusal->faults[0]['sentence'])->toMatch('/^[A-Z].*\.$/u');

                            continue;
                        }
                        $planned++;
                        $figure = fn (string $id) => $plan->figures[$id]->number();
                        $count = $plan->amounts->jars;
                        $jarVolume = $plan->amounts->jar->volumeTo($figure('level_height'));
                        expect($figure('cover'))
                            ->toBeGreaterThan(0)
                            ->and($figure('headspace'))
                            ->toEqualWithDelta($plan->wish->method->wants->headspaceMm, 1e-6)
                            // What stands in the jars is the oil and the herb's own volume.
                            ->and($jarVolume * $count)
                            ->toEqualWithDelta($figure('oil_volume') + $plan->wish->mix->ownMlPerG * $figure('herb_mass'), 1e-6)
                            ->and($figure('herb_mass.0') + $figure('herb_mass.1'))
                            ->toEqualWithDelta($figure('herb_mass'), 1e-9)
                            ->and($figure('oil_volume.olive') + $figure('oil_volume.jojoba'))
                            ->toEqualWithDelta($figure('oil_volume'), 1e-9)
                            ->and($figure('oil_mass.olive') + $figure('oil_mass.jojoba'))
                            ->toEqualWithDelta($figure('oil_mass'), 1e-9)
                            ->and($plan->wish->practice->way)
                            ->toBe($state === 'dried' ? 'squeezed' : 'drained');
                    }
                }
            }
        }
    }
    expect($planned)->toBeGreaterThan(20);
})->with([['dried', 'self-heal'], ['dried', 'marshmallow-root'], ['wilted', 'self-heal'], ['fresh', 'calendula']]);

it('never lowers the bed, nor raises the cover, with more herb in the same oil', function (string $herb, string $state) {
    $bed = 0.0;
    $cover = INF;
    foreach ([5, 10, 15, 20, 25, 30, 40] as $grams) {
        try {
            $plan = Support::plan([
                'herb' => ['id' => $herb, 'state' => $state, 'amount' => "{$grams} g"],
                'oils' => ['olive'],
                'oil_amount' => '380 mL',
                'jar' => '946',
                'basis' => 'as-it-lies',
            ]);
        } catch (WishException) {
            continue;
        }
        expect($plan->figures['bed_height']->number())
            ->toBeGreaterThan($bed)
            ->and($plan->figures['cover']->number())
            ->toBeLessThan($cover);
        [$bed, $cover] = [$plan->figures['bed_height']->number(), $plan->figures['cover']->number()];
    }
    expect($bed)->toBeGreaterThan(0.0);
})->with([
    ['self-heal', 'dried'],
    ['calendula', 'dried'],
    ['linden-blossom', 'dried'],
    ['chickweed', 'wilted'],
    ['chickweed', 'fresh'],
    ['turmeric', 'dried'],
]);
