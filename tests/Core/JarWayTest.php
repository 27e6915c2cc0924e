<?php

declare(strict_types=1);

namespace Tests\Core;

use Kettle\Material\Lying;
use Kettle\Reason\Note;
use Kettle\Recipe\Plan;
use Kettle\Recipe\WishException;

/** The jar way: how the herb lies in it, oil to the brim, and herb by the jar with oil by the cup. */

/**
 * @param  array<string, mixed>  $wish
 * @return array<string, mixed>
 */
function byTheJar(array $wish): array
{
    return $wish + ['herb' => ['id' => 'calendula'], 'oils' => ['olive'], 'jar' => '473'];
}

/**
 * @param  array<string, mixed>  $wish
 * @return array{field: string, sentence: string, ways?: list<array{id: string, change: array<string, mixed>}>}
 */
function jarWayRefused(array $wish): array
{
    try {
        Support::plan(byTheJar($wish));
    } catch (WishException $refused) {
        return $refused->faults[0];
    }
    throw new \LogicException('It was planned.');
}

/** @param  array<string, mixed>  $wish */
function saidOf(array $wish): string
{
    $plan = Support::plan(byTheJar($wish));

    return implode('', array_column(Support::planning()->document($plan, Support::kitchen())['sentence'], 'text'));
}

/** @return array<string, string> what is told, by its id */
function notesSaid(Plan $plan): array
{
    return array_column(array_map(fn (Note $note) => [$note->id, Support::said($note->says)], $plan->notes), 1, 0);
}

it('takes a quarter of the jar of herb and a cup of oil', function () {
    $plan = Support::plan(byTheJar(['by_jar' => ['fill' => 'quarter'], 'oil_amount' => '1 cup']));
    // The pint jar of the tables holds 505 mL to the brim; petals lie at 0.10 g/mL: 505 / 4 x 0.10. A US cup is 236.588 mL.
    expect($plan->figures['herb_mass']->number())
        ->toEqualWithDelta(12.6, 0.05)
        ->and($plan->figures['oil_volume']->number())
        ->toEqualWithDelta(236.588, 0.01)
        ->and($plan->figures['cover']->number())
        ->toEqualWithDelta(((236.588 + 12.625 / 1.2 - 12.625 / 0.15) * 118) / 505, 0.3)
        ->and(saidOf(['by_jar' => ['fill' => 'quarter'], 'oil_amount' => '1 cup']))
        ->toStartWith('A pint jar, a quarter full with 1 cup of oil: ');
});

it('shares the oil among jars alike', function () {
    $plan = Support::plan(byTheJar(['by_jar' => ['fill' => 'quarter'], 'oil_amount' => '2 cups', 'jars' => '2']));
    expect($plan->figures['herb_mass']->number())
        ->toEqualWithDelta(25.25, 0.05)
        ->and($plan->amounts->levels->levelMm)
        ->toEqualWithDelta(
            Support::plan(byTheJar(['by_jar' => ['fill' => 'quarter'], 'oil_amount' => '1 cup']))->amounts->levels->levelMm,
            0.01,
        );
});

it('holds more herb where it is pressed in, and says how it lies', function () {
    $grams = fn (string $lying) => Support::plan(byTheJar(['by_jar' => ['fill' => 'half', 'lying' => $lying]]))->figures[
        'herb_mass'
    ]->number();
    expect($grams('packed') / $grams('loose'))
        ->toEqualWithDelta(1.5, 0.001)
        ->and($grams('stuffed') / $grams('loose'))
        ->toEqualWithDelta(2.0, 0.001)
        ->and(saidOf(['by_jar' => ['fill' => 'half', 'lying' => 'packed']]))
        ->toStartWith('A pint jar, packed half full and covered by ');
});

it('draws the herb as high as it was filled, however it lies', function (string $lying) {
    $plan = Support::plan(byTheJar(['by_jar' => ['fill' => 'half', 'lying' => $lying]]));
    expect($plan->figures['dry_fill_height']->number())->toEqualWithDelta(59.0, 0.01);
})->with(['loose', 'packed', 'stuffed']);

it('presses grain together less than leaf', function () {
    foreach (Support::planning()->cupboard()->forms() as $form) {
        $packed = $form->density(Lying::Packed)->gramsPerMl / $form->density(Lying::Loose)->gramsPerMl;
        $stuffed = $form->density(Lying::Stuffed)->gramsPerMl / $form->density(Lying::Loose)->gramsPerMl;
        expect($packed)->toBeGreaterThan(1.0)->toBeLessThan($stuffed)->and($form->density(Lying::Stuffed)->gramsPerMl)->toBeLessThanOrEqual(
            // Nothing is pressed denser than the stuff itself.
            $form->bulk->particle->gramsPerMl,
        );
        // Hausner ratio of what flows, tapped over loose: 1.00 to 1.25 (USP <1174>, from memory). Seeds, berries, roots, buds.
        if (in_array($form->id, ['seed', 'seed-berry', 'root', 'bud', 'resin'], true)) {
            expect($stuffed)->toBeLessThanOrEqual(1.25);
        }
    }
    // What clings packs far more: brown sugar packed 220 g a cup, unpacked 145 (USDA FoodData Central portions, from memory).
    $leaf = Support::planning()->cupboard()->form('thin-leaf');
    expect($leaf->density(Lying::Packed)->gramsPerMl / $leaf->density(Lying::Loose)->gramsPerMl)->toEqualWithDelta(220 / 145, 0.1);
});

it('reads how it lies in an amount of a herb', function (string $typed, float $grams) {
    $plan = Support::plan(byTheJar(['herb' => ['id' => 'calendula', 'amount' => $typed], 'jar' => null]));
    expect($plan->figures['herb_mass']->number())->toEqualWithDelta($grams, 0.05);
})->with([
    // A US cup of petals at 0.10 g/mL; half as heavy again packed, twice stuffed.
    ['2 cups', 47.32],
    ['2 cups, packed', 70.98],
    ['2 packed cups', 70.98],
    ['2 cups firmly packed', 70.98],
    ['2 cups loosely packed', 47.32],
    ['2 cups, loose', 47.32],
    ['2 cups stuffed', 94.64],
    // A weight is what it is.
    ['30 g, packed', 30.0],
]);

it('says by which weight of a cup it was read', function () {
    $plan = Support::plan(byTheJar(['herb' => ['id' => 'calendula', 'amount' => '2 cups, packed'], 'jar' => null]));
    $reasons = array_column(array_map(fn ($reason) => (array) $reason, $plan->figures['herb_mass']->reasons), 'inputs', 'rule');
    expect($reasons['read-by-loose-density']['g_per_ml'])->toBe(0.15);
});

it('pours to the brim, tells the spill, and shuts the lid', function () {
    $wish = ['herb' => ['id' => 'self-heal', 'state' => 'fresh'], 'by_jar' => ['fill' => 'full', 'cover' => 'brim']];
    $plan = Support::plan(byTheJar($wish));
    $notes = notesSaid($plan);
    $oil = $plan->figures['oil_volume']->number();
    // Thermal expansion of vegetable oil, 0.0007 in each K (engineering tables, from memory): 5 K over the day.
    expect($plan->figures['headspace']->number())
        ->toEqualWithDelta(0.0, 1e-6)
        ->and($oil + $plan->figures['herb_mass']->number() / 0.95)
        ->toEqualWithDelta(505.0, 0.1)
        ->and($notes)
        ->toHaveKeys(['brim', 'wet-brim'])
        ->not->toHaveKeys(['headspace', 'wet', 'press-in'])
        ->and($notes['brim'])
        ->toContain(sprintf('about %d mL runs over', (int) ceil($oil * 0.0007 * 5)));
    $steps = array_column(Support::planning()->document($plan, Support::kitchen())['steps'], 'says', 'id');
    expect($steps['handle-0'])->toContain('Lid on tight over no air')->and(implode(' ', $steps))->not->toContain('no lid');
});

it('spills more on a sunny sill than on a shelf', function () {
    $spill = function (string $method): int {
        $plan = Support::plan(byTheJar(['method' => $method, 'by_jar' => ['fill' => 'half', 'cover' => 'brim']]));
        $says = notesSaid($plan);
        preg_match('/about (\d+) mL/', $says['brim'], $found);

        return (int) $found[1];
    };
    expect($spill('solar'))->toBeGreaterThan(2 * $spill('cold'));
});

it('refuses what runs over, stands out or is not so filled, with ways that lead out', function (array $wish, string $field, string $says) {
    $fault = jarWayRefused($wish);
    expect($fault['field'])
        ->toBe($field)
        ->and($fault['sentence'])
        ->toContain($says)
        ->and($fault['ways'] ?? [])
        ->not->toBe([]);
    foreach ($fault['ways'] ?? [] as $way) {
        $changed = array_filter([...byTheJar($wish), ...$way['change']], fn (mixed $value) => $value !== null);
        expect(Support::faults($changed))->toBe([], $way['id']);
    }
})->with([
    'more than it takes' => [['by_jar' => ['fill' => 'half'], 'oil_amount' => '1 L'], 'oil_amount', 'takes 441 mL'],
    'too little to cover' => [['by_jar' => ['fill' => 'full'], 'oil_amount' => '200 mL'], 'oil_amount', 'herb that stands out'],
    'too little, of oils measured out' => [
        ['by_jar' => ['fill' => 'full'], 'oils' => [['id' => 'olive', 'amount' => '80 mL'], ['id' => 'jojoba', 'amount' => '60 mL']]],
        'oil_amount',
        'herb that stands out',
    ],
    'to the brim in a slow cooker' => [
        ['method' => 'slow-cooker', 'by_jar' => ['fill' => 'half', 'cover' => 'brim']],
        'by_jar.cover',
        'runs over',
    ],
    'to the brim, poured hot' => [
        ['method' => 'poured-hot', 'by_jar' => ['fill' => 'half', 'cover' => 'brim']],
        'by_jar.cover',
        'runs over',
    ],
    'stuffed full to the brim' => [['by_jar' => ['fill' => 'full', 'lying' => 'stuffed', 'cover' => 'brim']], 'by_jar', 'no room for oil'],
    'stuffed full and covered' => [['by_jar' => ['fill' => 'full', 'lying' => 'stuffed']], 'by_jar', 'the pint jar full'],
]);

it('refuses what says the same twice, or says nothing', function (array $wish, string $fault) {
    expect(Support::faults(byTheJar($wish)))->toBe([$fault]);
})->with([
    'oil and a cover' => [['by_jar' => ['fill' => 'half', 'cover' => '1 in'], 'oil_amount' => '1 cup'], 'by_jar.cover: disagree'],
    'oil and the brim' => [['by_jar' => ['fill' => 'half', 'cover' => 'brim'], 'oil_amount' => '1 cup'], 'by_jar.cover: disagree'],
    'lying about' => [['by_jar' => ['fill' => 'half', 'lying' => 'about']], 'by_jar.lying: unknown'],
    'herb by weight as well' => [
        ['by_jar' => ['fill' => 'half'], 'oil_amount' => '1 cup', 'herb' => ['id' => 'calendula', 'amount' => '20 g']],
        'by_jar: disagree',
    ],
]);

it('keeps a jar to the brim out of what is compared where none is filled so', function () {
    $ways = array_column(
        Support::planning()->ways(byTheJar(['by_jar' => ['fill' => 'half', 'cover' => 'brim']]), Support::kitchen()),
        null,
        'id',
    );
    expect($ways['solar']['drops'])
        ->toBe([])
        ->and($ways['slow-cooker']['drops'])
        ->toBe(['by_jar'])
        ->and($ways['slow-cooker']['refused'])
        ->toBeNull();
});

it('takes oils by amounts, of all or of one', function (array $oils, float $ml, array $shares) {
    $plan = Support::plan(['herb' => ['id' => 'calendula'], 'oils' => $oils]);
    expect($plan->figures['oil_volume']->number())->toEqualWithDelta($ml, 0.05);
    foreach ($shares as $i => $share) {
        expect($plan->wish->blend->shares()[$i]['share'])->toEqualWithDelta($share, 0.0005);
    }
})->with([
    'all' => [[['id' => 'olive', 'amount' => '200 mL'], ['id' => 'jojoba', 'amount' => '50 mL']], 250.0, [0.8, 0.2]],
    'one, and parts' => [[['id' => 'olive', 'parts' => '3'], ['id' => 'jojoba', 'amount' => '50 mL']], 200.0, [0.75, 0.25]],
    'alone' => [[['id' => 'olive', 'amount' => '1 cup']], 236.588, [1.0]],
]);

it('takes an oil by its weight as what it takes up', function () {
    $plan = Support::plan(['herb' => ['id' => 'calendula'], 'oils' => [['id' => 'olive', 'amount' => '200 g']]]);
    // Olive oil 0.910 to 0.916 at 20 °C (Codex STAN 33, relative density), a little more in a cool room.
    expect($plan->figures['oil_volume']->number())
        ->toBeGreaterThan(200 / 0.918)
        ->toBeLessThan(200 / 0.908);
});

it('refuses oils that do not add up', function (array $wish, string $fault) {
    expect(Support::faults(['herb' => ['id' => 'calendula'], ...$wish]))->toBe([$fault]);
})->with([
    'some and not the rest' => [
        ['oils' => [['id' => 'olive', 'amount' => '1 cup'], ['id' => 'jojoba', 'amount' => '50 mL'], ['id' => 'castor']]],
        'oils: disagree',
    ],
    'and all of it besides' => [['oils' => [['id' => 'olive', 'amount' => '1 cup']], 'oil_amount' => '1 cup'], 'oil_amount: disagree'],
    'nothing' => [['oils' => [['id' => 'olive', 'amount' => '0 mL']]], 'oils.0.amount: not_above_zero'],
    'by length' => [['oils' => [['id' => 'olive'], ['id' => 'jojoba', 'amount' => '5 cm']]], 'oils.1.amount: wrong_kind'],
    'and so much out of it' => [
        ['oils' => [['id' => 'olive', 'amount' => '1 cup']], 'finished' => ['amount' => '300 mL']],
        'finished: disagree',
    ],
    'more than a kitchen' => [
        ['oils' => [['id' => 'olive', 'amount' => '19 L'], ['id' => 'jojoba', 'amount' => '19 L']]],
        'oils: too_much',
    ],
]);
