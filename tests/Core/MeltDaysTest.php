<?php

use Tests\Core\Melted;

// Two weighings of 2 min, melting 12, the spoon 3, and 2 min for each tin (data/rules.json, "melt-hands", from memory).
const SIX_TINS = ['product' => 'salve', 'waxes' => ['beeswax'], 'tins' => [['ml' => 60, 'count' => 6]]];

const MARIGOLD = ['herbs' => [['id' => 'calendula']], 'oils' => ['olive'], 'method' => 'double-boiler'];

/** @return array<string, mixed> the days of a salve that is wanted by a day */
function wanted(array $asked, array $house = []): array
{
    return Melted::ask($asked + ['house' => $house] + SIX_TINS)['days'];
}

it('goes backwards from the day it is wanted, through the hours it sets, to when somebody is at home', function (
    array $asked,
    array $waking,
    string $makeAt,
) {
    $days = wanted($asked + ['ready_by' => '2026-12-12'], ['waking' => $waking]);
    expect(substr($days['make_at'], 0, 16))->toBe($makeAt)->and($days['late'])->toBeFalse()->and($days['oils'])->toBe([]);
})->with([
    // Up at 07:00 on the 12th; twelve hours before that is 19:00 on the 11th; two weighings and the rest are 31 minutes.
    'the evening before' => [[], [], '2026-12-11T18:29'],
    // A blend is ready when it is mixed: by 07:00, so the evening before, to bed at 22:30. 2 + 5 + 3 x 2 are 13 minutes.
    'a blend' => [
        ['product' => 'body-oil', 'waxes' => [], 'oils' => ['olive'], 'tins' => [['ml' => 100, 'count' => 3]]],
        [],
        '2026-12-11T22:17',
    ],
    'up later, ready later' => [[], ['from' => '09:00', 'to' => '22:30'], '2026-12-11T20:29'],
]);

it('begins the oil so that it is in its bottles the day before, and says with which wish', function () {
    $days = wanted(['oils' => [['infuse' => MARIGOLD]], 'ready_by' => '2026-12-12']);
    $oil = $days['oils'][0];
    $wish = $oil['wish'];
    expect($wish['ready_by'])
        ->toBe('2026-12-10')
        ->and($oil['start_by'])
        ->toBe('2026-12-09')
        ->and($oil['pourable_at'] < $days['make_at'])
        ->toBeTrue()
        // No less is infused than goes into the pot.
        ->and((float) $wish['finished']['amount'])
        ->toBeGreaterThanOrEqual($oil['ml'])
        ->and((float) $wish['finished']['amount'] - $oil['ml'])
        ->toBeLessThan(5.001);
    // Asked by itself, the same oil is begun on the same day.
    $plan = Melted::ask($wish, 'plan');
    expect($plan['figures']['start_by']['value'])->toBe($oil['start_by']);
    // Settled, it is poured off in 10 min and bottled in 15 (hands-on, common practice, no source), and not to be had before.
    $settled = new DateTimeImmutable($plan['schedule']['settled_at']);
    expect(new DateTimeImmutable($oil['pourable_at']))->toEqual($settled->modify('+25 minutes'));
});

it('is never made before its oil is there, whatever day is wanted and whichever way it is infused', function (string $method) {
    foreach (range(1, 60, 7) as $ahead) {
        $by = (new DateTimeImmutable('2026-11-24'))->modify("+{$ahead} days")->format('Y-m-d');
        $days = wanted(['oils' => [['infuse' => ['method' => $method] + MARIGOLD]], 'ready_by' => $by]);
        expect(new DateTimeImmutable($days['make_at']))->toBeGreaterThanOrEqual(new DateTimeImmutable($days['oils'][0]['pourable_at']));
        if ($days['late']) {
            expect($days['first_ready'] > $by)->toBeTrue();
        } else {
            // Ready twelve hours before the day begins, and begun no sooner than today.
            expect(new DateTimeImmutable($days['make_at']))
                ->toBeLessThan((new DateTimeImmutable("{$by}T07:00:00Z"))->modify('-12 hours'))
                ->and($days['oils'][0]['start_by'] >= '2026-11-24')
                ->toBeTrue();
        }
    }
})->with(['double-boiler', 'cold', 'solar', 'slow-cooker']);

it('says when it cannot be ready by then, and the day it offers does', function () {
    // On the shelf it takes weeks: by common practice four to six, and a day to settle.
    $asked = ['oils' => [['infuse' => ['method' => 'cold'] + MARIGOLD]], 'ready_by' => '2026-12-05'] + SIX_TINS;
    $told = Melted::ask($asked);
    $late = array_values(array_filter($told['cautions'], fn (array $note) => $note['id'] === 'product-late'))[0];
    expect($late['rank'])->toBe('care')->and($late['ways'][0]['id'])->toBe('later');
    $day = $late['ways'][0]['change']['ready_by'];
    $then = Melted::ask(['ready_by' => $day] + $asked);
    expect($then['days']['late'])
        ->toBeFalse()
        ->and(Melted::cautions(['ready_by' => $day] + $asked))
        ->not->toContain('care product-late')
        // No day sooner would.
        ->and(wanted(['ready_by' => (new DateTimeImmutable($day))->modify('-1 day')->format('Y-m-d')] + $asked)['late'])
        ->toBeTrue();
});

it('waits for an oil that stands yet, and is made as soon as it is there where no day is said', function () {
    $standing = [
        'id' => 'b1',
        'called' => 'calendula oil',
        'oils' => ['olive'],
        'herbs' => ['calendula'],
        'from' => '2026-12-01T11:00:00+00:00',
    ];
    $days = wanted(['oils' => [['batch' => 'b1']], 'batches' => [$standing]]);
    expect($days['ready_by'])
        ->toBeNull()
        ->and(substr($days['make_at'], 0, 16))
        ->toBe('2026-12-01T11:00')
        ->and($days['oils'][0]['start_by'])
        ->toBeNull()
        ->and($days['oils'][0]['wish'])
        ->toBeNull();
    // Wanted on the 2nd it is too late by an afternoon: 12 h before 07:00 is 19:00 of the 1st, which does; bottled at 18:45, not.
    $by = fn (string $from): bool => wanted([
        'oils' => [['batch' => 'b1']],
        'batches' => [['from' => $from] + $standing],
        'ready_by' => '2026-12-02',
    ])['late'];
    expect($by('2026-12-01T18:00:00+00:00'))->toBeFalse()->and($by('2026-12-01T18:45:00+00:00'))->toBeTrue();
    // One that was bottled since is an oil like any other.
    $there = Melted::ask(['oils' => [['batch' => 'b1']], 'batches' => [['from' => '2026-11-20T11:00:00+00:00'] + $standing]] + SIX_TINS);
    expect($there['days'])->toBeNull();
});

it('refuses to make for a day what is past by then', function () {
    $old = ['id' => 'b1', 'oils' => ['olive'], 'herbs' => ['calendula'], 'best_before' => '2026-12-20'];
    $asked = ['oils' => [['batch' => 'b1']], 'batches' => [$old]] + SIX_TINS;
    expect(Melted::cautions(['ready_by' => '2026-12-21'] + $asked))
        ->toContain('stop past-by-then')
        ->and(Melted::cautions(['ready_by' => '2026-12-20'] + $asked))
        ->not->toContain('stop past-by-then');
});

it('is good as long as its oil will be, reckoned from the day that is begun', function () {
    // Fresh plant keeps an oil six months (common practice, no source); begun in March, that is in September and not in May.
    $asked = ['oils' => [['infuse' => ['herbs' => [['id' => 'calendula', 'state' => 'fresh']]] + MARIGOLD]]] + SIX_TINS;
    $until = fn (array $asked): string => Melted::ask($asked)['figures']['best_before']['value'];
    expect($until($asked) < $until(['ready_by' => '2027-03-20'] + $asked))->toBeTrue();
});

it('refuses what is no day and no oil, by name', function (array $asked, string $fault) {
    expect(Melted::faults($asked + SIX_TINS))->toBe([$fault]);
})->with([
    'yesterday' => [['ready_by' => '2026-11-23'], 'ready_by: in_the_past'],
    'no day' => [['ready_by' => 'soon'], 'ready_by: unreadable'],
    'in ten years' => [['ready_by' => '2036-12-12'], 'ready_by: out_of_range'],
    'a plant nobody knows' => [
        ['oils' => [['infuse' => ['herbs' => [['id' => 'moonwort']]] + MARIGOLD]]],
        'oils.0.infuse.herbs.0: unknown',
    ],
    'an oil nobody knows' => [['oils' => [['infuse' => ['oils' => ['starlight']] + MARIGOLD]]], 'oils.0.infuse.oils: unknown'],
    'no plant' => [['oils' => [['infuse' => ['oils' => ['olive']]]]], 'oils.0.infuse.herbs: missing'],
    'how much of it' => [
        ['oils' => [['infuse' => ['finished' => ['amount' => '1 L']] + MARIGOLD]]],
        'oils.0.infuse.finished: unknown_field',
    ],
    'when, of it' => [['oils' => [['infuse' => ['ready_by' => '2026-12-01'] + MARIGOLD]]], 'oils.0.infuse.ready_by: unknown_field'],
    // What the Bench would not infuse for the kitchen is no oil for a dressing either (USDA Complete Guide to Home Canning: garlic in oil).
    'fresh garlic for the kitchen, on the shelf' => [
        [
            'product' => 'dressing',
            'waxes' => [],
            'tins' => [['ml' => 250, 'count' => 1]],
            'oils' => [
                [
                    'infuse' => [
                        'herbs' => [['id' => 'garlic', 'state' => 'fresh']],
                        'oils' => ['olive'],
                        'purpose' => 'kitchen',
                        'kept' => 'shelf',
                    ],
                ],
            ],
        ],
        'oils.0.infuse.purpose: botulism',
    ],
    'an oil for the skin, to eat' => [
        ['product' => 'dressing', 'waxes' => [], 'tins' => [['ml' => 250, 'count' => 1]], 'oils' => [['infuse' => MARIGOLD]]],
        'oils.0: not_food',
    ],
    // What the Bench has against the oil is said of that oil.
    'too little oil to the herb' => [
        ['tins' => [['ml' => 60]], 'total' => '17 kg', 'oils' => [['infuse' => ['ratio' => '1:2'] + MARIGOLD]]],
        'oils.0.infuse.ratio: too_thick',
    ],
    'there and not there' => [['oils' => [['id' => 'olive', 'infuse' => MARIGOLD]]], 'oils.0.infuse: said_twice'],
]);

it('names every fault there is, of its oil and of its day', function () {
    expect(Melted::faults(['ready_by' => 'soon', 'oils' => [['infuse' => ['herbs' => [['id' => 'moonwort']]] + MARIGOLD]]] + SIX_TINS))
        ->toContain('ready_by: unreadable')
        ->toContain('oils.0.infuse.herbs.0: unknown');
});

it('offers a way out that leads out', function (array $asked, array $change) {
    try {
        Melted::ask($asked + SIX_TINS);
        $ways = [];
    } catch (Kettle\Recipe\WishException $refused) {
        $ways = $refused->faults[0]['ways'] ?? [];
    }
    expect(array_column($ways, 'change'))->toBe([$change]);
})->with([
    'the day has gone' => [['ready_by' => '2026-11-20'], ['ready_by' => null]],
    'its oil was thrown away' => [
        ['oils' => [['batch' => 'b']], 'batches' => [['id' => 'b', 'oils' => ['olive'], 'discarded' => true]]],
        ['oils' => null],
    ],
    'one of its oils is past' => [
        ['oils' => ['olive', ['batch' => 'b']], 'batches' => [['id' => 'b', 'oils' => ['olive'], 'best_before' => '2026-11-01']]],
        ['oils' => ['olive']],
    ],
    'no leaf goes into it' => [
        ['product' => 'cream', 'leaf' => ['id' => 'plantain-leaf', 'amount' => '20 g'], 'waxes' => []],
        ['leaf' => null],
    ],
]);

it('answers as the published schema says, whatever is wished', function (array $asked) {
    $validator = new Opis\JsonSchema\Validator();
    $validator->resolver()->registerFile('kettle://reckon', dirname(__DIR__, 2).'/docs/formats/reckon.schema.json');
    $validator->resolver()->registerFile('kettle://wish.schema.json', dirname(__DIR__, 2).'/docs/formats/wish.schema.json');
    $told = json_decode(json_encode(Melted::ask($asked + SIX_TINS)));
    $error = $validator->validate($told, (object) ['$ref' => 'kettle://reckon#/$defs/melt/answers'])->error();
    expect($error === null ? '' : json_encode((new Opis\JsonSchema\Errors\ErrorFormatter())->format($error)))->toBe('');
})->with([
    'nothing more' => [[]],
    'a day' => [['ready_by' => '2026-12-20']],
    'a day too soon' => [['ready_by' => '2026-11-24']],
    'an oil to come' => [['oils' => [['infuse' => MARIGOLD]]]],
    'an oil to come too late' => [['oils' => [['infuse' => ['method' => 'cold'] + MARIGOLD]], 'ready_by' => '2026-11-26']],
    'leaf in it' => [['leaf' => ['id' => 'plantain-leaf', 'amount' => '20 g']]],
]);
