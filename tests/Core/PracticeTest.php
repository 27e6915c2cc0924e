<?php

use Kettle\Fault\FaultFinder;
use Kettle\Material\Tables;
use Kettle\Practice\Judged;
use Kettle\Practice\MadeUpJar;
use Kettle\Practice\Tasks;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\KitchenReader;
use Tests\Core\Support;

require_once __DIR__.'/Support.php';

/*
 * Made-up jars. What an answer is held against is worked out beside it by hand, and not asked of the plan it comes from.
 */

function madeUp(int $number, array $house = []): MadeUpJar
{
    static $made = [];

    return $made[$number.json_encode($house)] ??= MadeUpJar::of($number, Support::planning(), Support::kitchen($house));
}

function practised(int $number, string $task, string $answer): Judged
{
    return (new Tasks(madeUp($number), new FaultFinder(Tables::shipped()), Support::planning()))->judge($task, $answer);
}

/** @return array<string, array{tells: string, heads: list<string>, choices: array<string, string>}> by task, as a plain kitchen has it */
function madeUpAsks(int $number): array
{
    $asked = [];
    foreach ((new Tasks(madeUp($number), new FaultFinder(Tables::shipped()), Support::planning()))->all() as $task) {
        $asked[$task->id] = [
            'tells' => Support::said($task->tells),
            'heads' => [Support::said($task->title()), Support::said($task->question())],
            'choices' => array_map(Support::said(...), array_column($task->choices, 'says', 'id')),
        ];
    }

    return $asked;
}

it('asks for one thing after another, as the work goes', function () {
    $asked = madeUpAsks(1);
    expect(array_keys($asked))
        ->toBe(['herb', 'oil', 'jar', 'warmth', 'hours', 'strained', 'wrong', 'kitchen', 'salve', 'until', 'start'])
        ->and($asked['herb']['tells'])
        ->toBe('300 mL of sunflower oil is to go on dried marshmallow root, a gram to each 5 mL.')
        ->and($asked['jar']['choices'])
        ->toBe(['380' => '380 mL jar', '473' => 'pint jar', '750' => '750 mL jar'])
        ->and($asked['start']['tells'])
        ->toBe('The same is to be made cold on the shelf next time, for Tuesday 2 February.');
});

it('judges what is typed', function (string $task, string $answer, string $verdict, string $is, string $slip) {
    $judged = practised(1, $task, $answer);
    expect([$judged->verdict, Support::said($judged->is), $judged->slip === null ? '' : Support::said($judged->slip)])->toBe([
        $verdict,
        $is,
        $slip,
    ]);
})->with([
    // 300 mL at a gram to 5 mL: 60 g. A twentieth off is as people weigh, 57 to 63; a seventh is near.
    'weighed' => ['herb', '60 g', 'right', '60 g of herb.', ''],
    'as it is typed' => ['herb', '2 oz', 'near', '60 g of herb.', ''],
    'a twentieth more' => ['herb', '63', 'right', '60 g of herb.', ''],
    'a little more than that' => ['herb', '63.1', 'near', '60 g of herb.', ''],
    'a third more' => ['herb', '80', 'wrong', '60 g of herb.', ''],
    // By weight, the other school: 276 g of oil, a fifth of it 55.2 g.
    'by the other school' => [
        'herb',
        '55 g',
        'near',
        '60 g of herb.',
        'That is a gram of herb to so many grams of oil, as others mean it. Both are in use; here it is a gram to so many millilitres.',
    ],
    // Codex Stan 210: sunflowerseed oil has a relative density of 0.918 to 0.923 at 20 degrees C: 275.4 to 276.9 g.
    'oil is lighter than water' => ['oil', '276 g', 'right', '276 g of oil.', ''],
    'as if it were water' => [
        'oil',
        '300 g',
        'wrong',
        '276 g of oil.',
        'A millilitre of water weighs a gram, and oil is lighter than water.',
    ],
    // Common practice, no source: the slow cooker's gentle school.
    'held' => ['warmth', '50', 'right', 'About 49 °C, and never over 60 °C.', ''],
    'in other degrees' => ['warmth', '125 F', 'right', 'About 49 °C, and never over 60 °C.', ''],
    'at the ceiling' => ['warmth', '60', 'right', 'About 49 °C, and never over 60 °C.', ''],
    'too hot' => [
        'warmth',
        '75 C',
        'wrong',
        'About 49 °C, and never over 60 °C.',
        'So warm the herb fries, scent and colour go, and the oil begins to break down.',
    ],
    'too cool' => [
        'warmth',
        '35',
        'wrong',
        'About 49 °C, and never over 60 °C.',
        'Under 43 °C it is hardly warmed: it would count for nothing.',
    ],
    // 35 to 46 °C in half an hour crosses 43 after 22 min; 49 to 37 comes back to it after 15: from 0:52 to 3:45, 2.9 h.
    'counted' => ['hours', '2.9', 'right', 'About 2.9 h: what lies between 43 °C and 60 °C, and no more.', ''],
    'half an hour too many' => ['hours', '3 h 30', 'near', 'About 2.9 h: what lies between 43 °C and 60 °C, and no more.', ''],
    'as long as it was on' => [
        'hours',
        '4.5',
        'wrong',
        'About 2.9 h: what lies between 43 °C and 60 °C, and no more.',
        'That is how long it was switched on. Warming up and growing cold count for nothing.',
    ],
    // 60 g keep 1.2 mL each, and 5 mL stay in the cloth: 300 - 72 - 5 = 223 mL.
    'strained' => ['strained', '223 mL', 'right', 'About 223 mL, mostly 188 mL to 258 mL.', ''],
    'within what happens' => ['strained', '250 mL', 'right', 'About 223 mL, mostly 188 mL to 258 mL.', ''],
    'a little over' => ['strained', '270 mL', 'near', 'About 223 mL, mostly 188 mL to 258 mL.', ''],
    'all that went on' => [
        'strained',
        '300 mL',
        'wrong',
        'About 223 mL, mostly 188 mL to 258 mL.',
        'The herb keeps some of it, and the cloth, however hard it is squeezed.',
    ],
    // 220 mL of sunflower oil weigh 202.4 g, which are 82 of a hundred; 18 of them are 44.4 g. Of the oil alone, 36.4 g.
    'wax' => ['salve', '44 g', 'right', '44 g of beeswax.', ''],
    'a share of the oil' => [
        'salve',
        '36.4 g',
        'wrong',
        '44 g of beeswax.',
        'That is so much of the oil. Of the whole is meant: the oil is what is left of a hundred.',
    ],
    'the jar' => ['jar', '473', 'right', 'The pint jar.', ''],
    'too small a jar' => [
        'jar',
        '380',
        'wrong',
        'The pint jar.',
        'It would stand too near the rim, or the herb above the oil, where it moulds.',
    ],
    'a large one' => ['jar', '750', 'near', 'The pint jar.', 'It takes it too, with more air over the oil than need be.'],
    // Beads at the bottom are water: for the skin it may be dried, to be eaten it is thrown away (common practice, no source).
    'water' => [
        'wrong',
        'discard-if-eaten',
        'right',
        'Thrown away if it is to be eaten; for the skin it may be mended. Most likely water in the oil.',
        '',
    ],
    'more careful than need be' => [
        'wrong',
        'discard',
        'near',
        'Thrown away if it is to be eaten; for the skin it may be mended. Most likely water in the oil.',
        '',
    ],
    'kept as if nothing were' => [
        'wrong',
        'keep',
        'wrong',
        'Thrown away if it is to be eaten; for the skin it may be mended. Most likely water in the oil.',
        '',
    ],
    // Four weeks on the shelf, a day to settle and bottle: 29 days before Tuesday 2 February 2027.
    'in time' => ['start', '2027-01-04', 'right', '4 January 2027.', ''],
    'sooner' => ['start', '2026-12-21', 'near', '4 January 2027.', 'It would be ready; it need not be begun so soon.'],
    'too late' => [
        'start',
        '2027-01-25',
        'wrong',
        '4 January 2027.',
        'Then it is not ready: after the weeks on the shelf it is strained, it settles, and it is bottled.',
    ],
]);

it('takes a careful day for near, and a later one for wrong', function (int $number, array $verdicts) {
    $days = array_keys(madeUpAsks($number)['until']['choices']);
    expect(array_map(fn (string $day) => practised($number, 'until', $day)->verdict, $days))->toBe($verdicts);
})->with([
    'one of each' => [1, ['near', 'right', 'wrong']],
    'both too late' => [3, ['right', 'wrong', 'wrong']],
]);

it('says that herb keeps some of the oil, however little of it there is', function () {
    // A gram to 10 mL: 300 mL less 30 g at 1.2 mL and 5 mL in the cloth is 259 mL, and 300 is a seventh more.
    $judged = practised(56, 'strained', '300 mL');
    expect([$judged->verdict, $judged->slip?->code])->toBe(['wrong', 'practice.strained.slip']);
});

it('keeps nothing fresh under oil on a shelf to be eaten', function () {
    // National Center for Home Food Preservation, garlic and herbs in oil, from memory: refrigerated, four days at the most.
    // Clostridium botulinum toxin has neither smell nor taste: WHO, Botulism fact sheet, from memory.
    foreach ([1 => 'garlic', 2 => 'basil', 4 => 'chilli'] as $number => $plant) {
        expect(madeUpAsks($number)['kitchen']['tells'])->toBe("Somebody wants fresh {$plant} in oil, to be eaten.");
        $shelf = practised($number, 'kitchen', 'shelf');
        expect([$shelf->verdict, Support::said($shelf->is), Support::said($shelf->why[0])])
            ->toBe([
                'wrong',
                'At 4 °C or colder, and thrown away after four days; or it is dried first.',
                'Fresh herb under oil is not kept for the kitchen on a shelf. Dry it until it snaps, keep it cold for four days, '.
                'or sour it where a tested way is known. Without air the spores on it can grow and make botulinum toxin, and no '.
                'warmth of a kitchen kills them. Source: National Center for '.
                'Home Food Preservation, on garlic, herbs and vegetables in oil (from memory); local rules come first.',
            ])
            ->and(practised($number, 'kitchen', 'cold')->verdict)
            ->toBe('right')
            ->and(practised($number, 'kitchen', 'smelled')->verdict)
            ->toBe('wrong');
    }
});

it('throws mould away, whatever it grows on', function () {
    // Common practice, no source: what has fur is thrown away whole, herb and oil.
    expect(madeUpAsks(2)['wrong']['tells'])
        ->toContain('fur')
        ->and(practised(2, 'wrong', 'discard')->verdict)
        ->toBe('right')
        ->and(practised(2, 'wrong', 'use-soon')->verdict)
        ->toBe('wrong');
});

it('has sixty jars, no two alike, each planned without a warning and asked whole', function () {
    $seen = [];
    foreach (range(1, 60) as $number) {
        $jar = madeUp($number);
        $amounts = $jar->plan->amounts;
        $seen[] = Support::said($jar->plan->name()).' '.$amounts->oilMl;
        expect([$jar->of, $jar->plan->isSound(), $jar->onTheShelf->isSound(), $amounts->jars])->toBe([60, true, true, 1]);
        foreach (madeUpAsks($number) as $task => $each) {
            foreach ([$each['tells'], ...$each['heads'], ...$each['choices']] as $says) {
                expect($says)
                    ->toMatch('/^[\p{Lu}\d]|^\p{Ll}+(-pint|-gallon)? jar$/u', "{$number} {$task}")
                    ->not->toMatch('/[{}]|  /');
            }
            $verdicts = array_map(fn (int|string $id) => practised($number, $task, (string) $id)->verdict, array_keys($each['choices']));
            expect(array_count_values($verdicts)['right'] ?? 0)->toBe($verdicts === [] ? 0 : 1, "{$number} {$task}");
        }
    }
    expect(array_unique($seen))->toHaveCount(60);
});

it('takes its own figures for right', function () {
    foreach (range(1, 60, 7) as $number) {
        $plan = madeUp($number)->plan;
        foreach (
            [
                'herb' => "{$plan->figures['herb_mass']->number()} g",
                'oil' => "{$plan->figures['oil_mass']->number()} g",
                'strained' => "{$plan->figures['yield_volume']->number()} mL",
                'warmth' => "{$plan->wish->variant->targetC} C",
            ] as $task => $answer
        ) {
            expect(practised($number, $task, $answer)->verdict)->toBe('right', "{$number} {$task} {$answer}");
        }
    }
});

it('refuses what there is not, and what cannot be read, at its field', function (int $number, string $task, string $answer, string $field) {
    try {
        practised($number, $task, $answer);
        $at = 'nothing refused';
    } catch (RefusedException $refused) {
        $at = $refused->field;
    }
    expect($at)->toBe($field);
})->with([
    'no jar of nought' => [0, 'herb', '60 g', 'jar'],
    'no jar beyond the last' => [61, 'herb', '60 g', 'jar'],
    'no such task' => [1, 'stir', '60 g', 'task'],
    'no amount' => [1, 'herb', 'a handful', 'answer'],
    'another kind of amount' => [1, 'strained', '200 g', 'answer'],
    'no warmth' => [1, 'warmth', 'hot', 'answer'],
    'no choice' => [1, 'jar', 'the blue one', 'answer'],
    'a day that is not offered' => [1, 'until', '2030-01-01', 'answer'],
]);

it('is the same whatever a house has, but for how its cook measures', function () {
    $own = ['own' => [['kind' => 'oil', 'name' => 'wick oil', 'like' => 'olive']], 'things' => [], 'measures' => 'imperial'];
    expect(madeUp(7, $own)->plan->amounts->herbG)->toBe(madeUp(7)->plan->amounts->herbG);
    $imperial = new Tasks(madeUp(1, $own), new FaultFinder(Tables::shipped()), Support::planning());
    // An imperial pint is 568.261 mL (Weights and Measures Act 1985): two fifths of it are 227 mL.
    expect($imperial->judge('strained', '2/5 pint')->verdict)
        ->toBe('right')
        ->and(KitchenReader::shippedJars(Tables::shipped()))
        ->not->toBe([]);
});
