<?php

use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Steps;
use Tests\Core\Support;

/**
 * @param  array<string, mixed>  $wish
 * @param  array<string, mixed>  $house
 * @return array<string, string> what each step says, by id
 */
function steps(array $wish, array $house = []): array
{
    $kitchen = Support::kitchen($house);

    return array_column(Support::said(Steps::of(Support::planning()->plan($wish, $kitchen)), $kitchen), 'says', 'id');
}

it('goes in the order of doing', function () {
    expect(
        array_keys(steps(['herbs' => [['id' => 'self-heal'], ['id' => 'calendula']], 'oils' => ['olive', 'jojoba'], 'jar' => '946'])),
    )->toBe([
        'dry',
        'weigh-0',
        'weigh-1',
        'fill',
        'pour',
        'level',
        'tag',
        'handle-0',
        'handle-1',
        'handle-2',
        'wait',
        'strain',
        'settle',
        'bottle',
    ]);
});

it('weighs in grams, and beside it as the kitchen measures', function () {
    // 85 g is 3 oz (28.35 g each, NIST SP 811); 425 mL of oil at 1:5 is 1.8 US cups.
    $steps = steps(['herb' => ['id' => 'marshmallow-root', 'amount' => '85 g'], 'oils' => ['olive'], 'ratio' => '1:5']);
    expect($steps['weigh-0'])
        ->toBe('Weigh 85 g (3 oz) of marshmallow root (root, dried and cut); cut or bruise it only now.')
        ->and($steps['pour'])
        ->toStartWith('Pour over it 425 mL (')
        ->toEndWith('of olive oil.');
});

it('shares the oil out between the oils, and the herb between the herbs', function () {
    $steps = steps([
        'herbs' => [['id' => 'self-heal', 'parts' => '3'], ['id' => 'calendula']],
        'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'jojoba']],
        'oil_amount' => '900 mL',
        'ratio' => '1:9',
    ]);
    expect($steps['pour'])
        ->toContain('600 mL')
        ->toContain('300 mL')
        ->toContain(' and ')
        ->and($steps['weigh-0'])
        ->toContain('75 g')
        ->and($steps['weigh-1'])
        ->toContain('25 g');
});

it('does not bruise what is powder or wet', function (array $herb) {
    expect(steps(['herb' => $herb, 'oils' => ['olive'], 'jar' => '946'])['weigh-0'])->not->toContain('bruise');
})->with([
    'powder' => [['id' => 'ginger-root', 'form' => 'powder']],
    'fresh' => [['id' => 'chickweed', 'state' => 'fresh']],
    'wilted' => [['id' => 'chickweed', 'state' => 'wilted']],
]);

it('says how to fill it, where there is room for it as it lies and where there is not', function () {
    expect(steps(['herb' => ['id' => 'marshmallow-root'], 'oils' => ['olive'], 'jar' => '473'])['fill'])
        ->toMatch('/^Put it in the pint jar: loosely it fills to about \d+ mm\.$/')
        ->and(steps(['herb' => ['id' => 'linden-blossom'], 'oils' => ['olive'], 'jar' => '473'])['fill'])
        ->toContain('press it down')
        ->and(steps(['herb' => ['id' => 'marshmallow-root'], 'oils' => ['olive'], 'jar' => '473', 'jars' => '3'])['fill'])
        ->toStartWith('Put it in three pint jars, alike in each');
});

it('tells cold waiting from warm keeping', function () {
    $cold = steps(['herb' => ['id' => 'self-heal'], 'oils' => ['olive'], 'method' => 'cold']);
    $warm = steps(['herb' => ['id' => 'self-heal'], 'oils' => ['olive'], 'method' => 'slow-cooker']);
    expect($cold['wait'])
        ->toBe('Leave it 4 weeks, and shake it daily.')
        ->and($cold)
        ->not->toHaveKey('warm')
        ->and($warm['warm'])
        ->toContain('49 °C')
        ->toContain('never over')
        ->and($warm)
        ->not->toHaveKey('wait');
});

it('says warmth as this cook reads a thermometer', function () {
    $house = Support::kitchen();
    $cook = fn (bool $fahrenheit) => new Kitchen(
        $house->now,
        $house->waking,
        $house->custom,
        $house->dropsPerMl,
        $house->jars,
        $house->cupboard(),
        fahrenheit: $fahrenheit,
    );
    $warm = fn (Kitchen $kitchen) => array_column(
        Support::said(
            Steps::of(
                Support::planning()->plan(['herb' => ['id' => 'self-heal'], 'oils' => ['olive'], 'method' => 'slow-cooker'], $kitchen),
            ),
            $kitchen,
        ),
        'says',
        'id',
    )['warm'];
    // 49 C is 120.2 F, 60 C is 140 F: F = 1.8 C + 32 (NIST SP 811).
    expect($warm($cook(false)))
        ->toBe('Getting warm takes it about 46 min; then keep the oil at about 49 °C for 8 h; never over 60 °C.')
        ->and($warm($cook(true)))
        ->toBe('Getting warm takes it about 46 min; then keep the oil at about 120 °F for 8 h; never over 140 °F.');
});

it('strains as the herb wants it', function (array $wish, string $how) {
    expect(steps($wish + ['oils' => ['olive'], 'jar' => '946'])['strain'])->toContain($how);
})->with([
    'dried' => [['herb' => ['id' => 'self-heal']], 'through a cloth over a sieve and squeeze it well'],
    'wilted' => [['herb' => ['id' => 'chickweed', 'state' => 'wilted']], 'let it drain for some hours under a clean cloth, unsqueezed'],
    'powder' => [['herb' => ['id' => 'ginger-root', 'form' => 'powder']], 'through paper'],
    'in a press' => [['herb' => ['id' => 'self-heal'], 'way' => 'pressed'], 'and press it'],
]);

it('gives the day, the yield with its range, and the best before that the figures give', function () {
    $kitchen = Support::kitchen();
    $plan = Support::plan(['jar' => '473', 'start' => '2026-12-01', 'method' => 'cold']);
    $steps = array_column(Support::said(Steps::of($plan), $kitchen), 'says', 'id');
    $yield = $plan->figures['yield_volume'];
    // Four weeks from 1 December.
    expect($steps['strain'])
        ->toContain('29 December 2026')
        ->toContain(round((float) $yield->low).' mL to '.round((float) $yield->high).' mL')
        ->and($steps['tag'])
        ->toContain('strain on 29 December 2026')
        ->and($steps['bottle'])
        ->toContain((new DateTimeImmutable($plan->figures['best_before']->text()))->format('j F Y'));
});

it('writes each step whole: no gap, no double space, no number with a tail', function (string $herb, string $method) {
    foreach (
        steps([
            'herb' => ['id' => $herb],
            'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'jojoba', 'parts' => '1']],
            'method' => $method,
            'jar' => '946',
        ]) as $id => $says
    ) {
        expect($says)
            ->toEndWith('.', $id)
            ->not->toContain('  ')
            ->not->toContain(' ,')
            ->not->toContain('..')
            ->not->toMatch('/\d\.\d{3,}/')
            ->not->toContain('%');
    }
})
    ->with(['self-heal', 'marshmallow-root', 'linden-blossom', 'rosemary', 'calendula'])
    ->with(['cold', 'solar', 'double-boiler', 'slow-cooker', 'water-bath', 'poured-hot', 'incubator']);
