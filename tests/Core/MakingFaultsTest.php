<?php

use Kettle\Batch\Entry;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Logbook;
use Kettle\Fault\FaultFinder;
use Kettle\Making\FrozenProduct;
use Kettle\Making\Line\Poured;
use Kettle\Making\Line\Spooned;
use Kettle\Making\Line\StepDone;
use Kettle\Making\MakingEvidence;
use Kettle\Making\MakingState;
use Kettle\Material\Tables;
use Kettle\Melt\House;
use Kettle\Melt\Melting;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductDocument;
use Kettle\Melt\Verdict;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Planning;

/**
 * The likeliest cause of what is seen of a product, by its own records.
 *
 * @param  list<Line>  $lines
 * @param  list<string>  $signs
 */
function wrongWith(array $wish, array $lines, array $signs, bool $past = false): array
{
    $tables = Tables::shipped();
    $kitchen = KitchenReader::read([], new DateTimeImmutable('2026-11-24T10:00:00Z'), $tables);
    $house = new House($kitchen);
    $plan = (new Melting($tables))->plan($wish, $house);
    $record = (new ProductDocument(new Planning($tables), $kitchen, MeltTable::of($tables)))->record($plan);
    $frozen = FrozenProduct::of(json_decode(json_encode(FrozenProduct::keep($plan, $record, $house, 0.03)), true));
    $entries = [];
    foreach ($lines as $i => $line) {
        $entries[] = new Entry("e{$i}", new DateTimeImmutable("2026-11-24T1{$i}:00:00Z"), 'Isa', $line);
    }

    return (new FaultFinder($tables))->find(
        $signs,
        MakingEvidence::of(MakingState::of($frozen, new Logbook($entries)), $past, $kitchen->words()),
    )['causes'];
}

// The signs and their causes are common practice, no source; written out by hand.
it('finds what is wrong with a product by what is seen and by its own records', function (
    array $wish,
    array $lines,
    array $signs,
    string $cause,
    string $for,
) {
    $first = wrongWith($wish, $lines, $signs)[0];
    expect($first['id'])->toBe($cause)->and(implode(' ', $first['for']))->toContain($for);
})->with([
    'a whipped butter that was left to cool' => [
        ['product' => 'whipped-butter'],
        [],
        ['grainy'],
        'slow-cooling',
        'cooling it fast was not done',
    ],
    'a butter that grained all the same' => [
        ['product' => 'whipped-butter'],
        [new StepDone('cool-fast')],
        ['grainy'],
        'slow-cooling',
        'is in it',
    ],
    'a salve never tried' => [['product' => 'salve'], [], ['soft'], 'too-little-wax', 'not tried'],
    'a salve poured too soft' => [
        ['product' => 'salve'],
        [
            new Spooned(new Verdict(0.18, Verdict::TOO_SOFT, 'plainly')),
            new Poured([['ml' => 60.0, 'holds_ml' => 57.0, 'count' => 2]], null),
        ],
        ['soft'],
        'too-little-wax',
        'poured so',
    ],
    'fur on an ointment with leaf in it' => [
        ['product' => 'ointment', 'leaf' => ['id' => 'plantain-leaf', 'amount' => '10 g']],
        [new StepDone('leaf'), new StepDone('sieve')],
        ['fur'],
        'mould',
        'Fresh leaf was stirred into it',
    ],
    'a cream that smells' => [['product' => 'cream'], [], ['off'], 'ferment', 'There is water in it'],
]);

it('holds a verdict of right against too little and too much wax', function () {
    $right = [new Spooned(new Verdict(0.18, Verdict::RIGHT, 'plainly'))];
    $score = fn (array $lines, string $sign): int => wrongWith(['product' => 'salve'], $lines, [$sign])[0]['score'];
    expect($score($right, 'soft'))
        ->toBe($score([], 'soft') - 3)
        ->and($score($right, 'hard'))
        ->toBe($score([], 'hard') - 3);
});

it('says past its day only of what is past its day', function () {
    $old = fn (bool $past): array => wrongWith(['product' => 'salve'], [], ['rancid'], $past)[0]['for'];
    expect($old(true))->toContain('It is past its best-before.')->and($old(false))->not->toContain('It is past its best-before.');
});
