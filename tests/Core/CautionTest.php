<?php

use Kettle\Batch\FrozenPlan;
use Kettle\Batch\PurposeChange;
use Kettle\Caution\AcidSoak;
use Kettle\Caution\Caution;
use Kettle\Caution\CautionException;
use Kettle\Caution\Cautions;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Methods;
use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Tests\Core\Support;
use Tests\RandomWishes;

require_once dirname(__DIR__).'/Cautions.php';

/** @return array<string, array{string, string, string}> worked by hand: the facts, the place, the exact cautions */
function workedCautions(): array
{
    $cases = [];
    foreach ((array) file(dirname(__DIR__).'/fixtures/cautions.txt', FILE_IGNORE_NEW_LINES) as $line) {
        [$place, $facts, $ids] = array_map('trim', explode('|', (string) $line));
        $cases["{$place}: {$facts}"] = [$place, $facts, $ids];
    }

    return $cases;
}

it('shows exactly these cautions', function (string $place, string $facts, string $ids) {
    expect(cautionsAt($facts, $place))->toBe($ids);
})->with(workedCautions());

it('has worked cases enough, and each rule among them', function () {
    $cases = workedCautions();
    expect(count($cases))->toBeGreaterThanOrEqual(120);
    $shown = array_unique(explode(' ', implode(' ', array_column($cases, 2))));
    $rules = array_map(fn (Caution $rule) => $rule->id, Cautions::of(Tables::shipped())->all());
    // Those of products have their own worked cases (MeltSafetyTest).
    $melted = array_merge(...array_map(fn (array $case) => explode(' ', $case[1]), array_values(meltedCautions())));
    expect(array_values(array_diff($rules, $shown, $melted)))->toBe([])->and(count(array_unique($rules)))->toBe(count($rules));
});

it('says each with every word filled in, why, and a source', function () {
    $cautions = Cautions::of(Tables::shipped());
    foreach (workedCautions() as [$place, $line]) {
        $facts = cautionFacts($line);
        foreach ($cautions->holding($facts, $place) as $rule) {
            $told = $cautions->told($rule, $facts);
            expect(Support::said($told->says))
                ->toMatch('/^[A-Z].*[.]$/su')
                ->not->toContain('{')
                ->not->toContain('  ')
                ->not->toStartWith(':')
                ->and(Support::said($told->why))
                ->toMatch('/^[A-Z][^.]*[.]$/')
                ->and(Support::said($told->source))
                ->not->toBe('')
                ->and((string) Support::said($rule->label($facts)))
                ->not->toContain('{');
        }
    }
});

it('leaves no hole in the words of any method’s plan', function (string $method, string $state) {
    $said = Support::planning()->cautions(
        ['herb' => ['id' => 'self-heal', 'state' => $state], 'oils' => ['sweet-almond'], 'method' => $method, 'school' => null],
        Support::kitchen(),
        null,
    );
    expect($said)->not->toBe([]);
    foreach ($said as $caution) {
        expect(Support::said($caution->says))->not->toMatch('/ [,.;:]|  |[{}]/');
    }
})->with(
    array_map(
        fn (string $method) => [$method, $method === 'gentle-pan' ? 'fresh' : 'dried'],
        array_keys(Methods::of(Tables::shipped())->all()),
    ),
);

it('names the plants a caution is about, and no others', function () {
    $facts = cautionFacts('calendula+arnica+self-heal olive');
    $told = [];
    foreach (Cautions::of(Tables::shipped())->holding($facts) as $rule) {
        $told[$rule->id] = Support::said($rule->says($facts));
    }
    expect($told['daisy-family'])->toStartWith('Calendula and arnica: ')->and($told['unbroken-skin'])->toStartWith('Arnica: ');
});

it('asks only for facts that can be', function () {
    $lines = array_column(workedCautions(), 1);
    // At the Melt, written out by hand: what a scent is, what a product is, whom it is for.
    $melted = array_merge(
        array_map(fn (string $trait) => 'scent:'.$trait, [
            'vapour',
            'pregnancy',
            'pets',
            'sunlight',
            'irritant',
            'salicylate',
            'never-eaten',
            'daisy-family',
            'camphor',
        ]),
        array_map(fn (string $person) => 'for:'.$person, ['child', 'newborn', 'pregnancy', 'pets', 'asthma']),
        array_map(fn (string $trait) => 'product:'.$trait, [
            'slippery',
            'stir-before-use',
            'grains',
            'soft-in-summer',
            'wet-fingers',
            'water',
        ]),
        ['cold-only', 'kind:spent-herb', 'leaf-in', 'part:decoction', 'part:glycerin-extract'],
    );
    $known = array_unique(array_merge($melted, ...array_map(fn (string $line) => cautionFacts($line)->tags(), $lines)));
    foreach (Cautions::of(Tables::shipped())->all() as $rule) {
        expect(array_values(array_diff($rule->asks(), $known)))->toBe([], $rule->id);
    }
});

// National Center for Home Food Preservation and PNW 664, quoted from memory: 4 days, 4 C (40 F); 3 % citric acid by
// weight, 1 part of chopped garlic to 3, 1 of basil, oregano or rosemary to 10, 24 h.
it('keeps to the figures of the extension services', function () {
    expect(ColdStorage::DAYS)
        ->toBe(4)
        ->and(ColdStorage::CELSIUS)
        ->toBe(4.0)
        ->and(AcidSoak::STRENGTH)
        ->toBe(0.03)
        ->and(AcidSoak::HOURS)
        ->toBe(24);
    $cupboard = new Cupboard(Tables::shipped());
    // 100 g of garlic: 300 g of solution, 9 g of it acid.
    $garlic = AcidSoak::for($cupboard->herb('garlic'), 100);
    expect($garlic->acidG)->toEqualWithDelta(9, 1e-9)->and($garlic->waterG)->toEqualWithDelta(291, 1e-9);
    foreach (['basil', 'oregano', 'rosemary'] as $herb) {
        $soak = AcidSoak::for($cupboard->herb($herb), 25);
        expect($soak->solutionG())
            ->toEqualWithDelta(250, 1e-9)
            ->and($soak->acidG / $soak->solutionG())
            ->toEqualWithDelta(0.03, 1e-12);
    }
    // The same in spoons: a tablespoon of citric acid, about 14.6 g (from memory), in two cups of water.
    expect(14.6 / (14.6 + 2 * 236.588))->toEqualWithDelta(AcidSoak::STRENGTH, 0.0005);
});

it('knows no way to sour any other plant', function () {
    $known = array_filter((new Cupboard(Tables::shipped()))->herbs(), fn ($herb) => AcidSoak::partsFor($herb) !== null);
    expect(array_keys($known))->toEqualCanonicalizing(['garlic', 'basil', 'oregano', 'rosemary']);
    expect(fn () => AcidSoak::for((new Cupboard(Tables::shipped()))->herb('onion'), 10))->toThrow(CautionException::class);
});

it('plans a fresh kitchen oil for four days in the cold, and says so everywhere', function () {
    $wish = [
        'herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '60 g'],
        'oils' => ['olive'],
        'purpose' => 'kitchen',
        'kept' => 'fridge',
        'method' => 'gentle-pan',
    ];
    $plan = Support::plan($wish);
    $document = Support::planning()->document($plan, Support::kitchen());
    expect($plan->figures['best_before']->text())
        ->toBe($plan->timetable->fillAt->modify('+4 days')->format('Y-m-d'))
        ->and($document['kept'])
        ->toBe('fridge')
        ->and(Support::said($plan->sentenceText()))
        ->toContain('to keep cold for four days')
        ->and(implode(' ', array_column($document['steps'], 'says')))
        ->toContain('keep at 4 °C or colder, use by')
        ->and($plan->timetable->readyDay()->format('Y-m-d'))
        ->toBeLessThan($plan->figures['best_before']->text());
    $note = array_column($plan->notes, null, 'id')['four-days'];
    expect($note->acknowledge)
        ->toBeTrue()
        ->and(Support::said($note->says))
        ->toContain('4 °C')
        ->and(Support::said($note->source))
        ->toContain('National Center');
});

it('reckons the souring of what is planned', function () {
    $plan = Support::plan([
        'herb' => ['id' => 'garlic', 'state' => 'fresh', 'amount' => '50 g'],
        'oils' => ['olive'],
        'purpose' => 'kitchen',
        'kept' => 'soured',
        'method' => 'slow-cooker',
    ]);
    expect($plan->figures['soak_acid.0']->number())
        ->toEqualWithDelta(4.5, 1e-9)
        ->and($plan->figures['soak_water.0']->number())
        ->toEqualWithDelta(145.5, 1e-9)
        ->and(implode(' ', array_column(Support::planning()->document($plan, Support::kitchen())['steps'], 'says')))
        ->toContain('4.5 g of citric acid')
        ->and($plan->keeping->months)
        ->toBe(2.0)
        ->and(Support::said($plan->sentenceText()))
        ->toContain('soured first');
});

it('refuses what is too slow for the cold, and what nobody tested', function (array $wish, string $fault) {
    expect(Support::faults($wish + ['oils' => ['olive'], 'purpose' => 'kitchen']))->toBe([$fault]);
})->with([
    'on the shelf, for the cold' => [['herb' => ['id' => 'basil', 'state' => 'fresh'], 'kept' => 'fridge'], 'method: too_slow'],
    'a day in the cooker' => [
        ['herb' => ['id' => 'basil', 'state' => 'fresh'], 'kept' => 'fridge', 'method' => 'slow-cooker', 'school' => 'gentle'],
        'method: too_slow',
    ],
    'onion, soured' => [['herb' => ['id' => 'onion', 'state' => 'fresh'], 'kept' => 'soured'], 'kept: untested'],
    'one of two untested' => [
        ['herbs' => [['id' => 'basil', 'state' => 'fresh'], ['id' => 'dill', 'state' => 'fresh']], 'kept' => 'soured'],
        'kept: untested',
    ],
    'no such way' => [['herb' => ['id' => 'basil', 'state' => 'fresh'], 'kept' => 'cellar'], 'kept: unknown'],
]);

it('means nothing by cold or sour where the herb is dry or it is for the skin', function (array $wish) {
    expect(Support::plan($wish + ['oils' => ['olive']])->wish->storage())->toBe('shelf');
})->with([
    [['herb' => ['id' => 'basil'], 'purpose' => 'kitchen', 'kept' => 'fridge']],
    [['herb' => ['id' => 'basil', 'state' => 'fresh'], 'purpose' => 'skin', 'kept' => 'soured']],
]);

it('plans nothing dangerous of twenty thousand wishes, at any hour, and every way out leads out', function () {
    $wishes = new RandomWishes(4242);
    $wrong = [];
    for ($i = 0; $i < 20_000; $i++) {
        $wrong = [...$wrong, ...$wishes->next($i % 10 === 0)];
    }
    expect($wrong)
        ->toBe([])
        ->and($wishes->seen['planned'])
        ->toBeGreaterThan(3000)
        ->and($wishes->seen['spirit'])
        ->toBeGreaterThan(150)
        ->and($wishes->seen['cold'])
        ->toBeGreaterThan(80)
        ->and($wishes->seen['soured'])
        ->toBeGreaterThan(80)
        ->and($wishes->seen['ways'])
        ->toBeGreaterThan(500);
});

it('lets a batch for the skin become food only where every part of it is', function (array $change, ?string $reason) {
    $plan = Support::planning()->document(
        Support::plan(['herb' => ['id' => 'lemon-thyme'], 'oils' => ['olive'], 'jar' => '473', ...$change['wish'] ?? []]),
        Support::kitchen(),
    );
    $refused = PurposeChange::toKitchen(
        FrozenPlan::of($plan),
        new Cupboard(Tables::shipped()),
        $change['lots'] ?? [['called' => 'olive oil', 'food' => true], ['called' => 'lemon thyme', 'food' => true]],
    );
    expect($refused?->reason)->toBe($reason);
})->with([
    'all of it food' => [[], null],
    'an oil for the skin' => [['wish' => ['oils' => ['jojoba']]], 'not_food_grade'],
    'a herb for the skin' => [['wish' => ['herb' => ['id' => 'arnica']]], 'not_food_grade'],
    'a lot not marked' => [
        ['lots' => [['called' => 'olive oil', 'food' => false], ['called' => 'thyme', 'food' => true]]],
        'not_food_grade',
    ],
    'fresh herb' => [['wish' => ['herb' => ['id' => 'basil', 'state' => 'fresh']]], 'botulism'],
    'lots nobody wrote down' => [['lots' => []], 'not_food_grade'],
    'one lot of two' => [['lots' => [['called' => 'olive oil', 'food' => true]]], 'not_food_grade'],
]);
