<?php

use Kettle\Fault\FaultException;
use Kettle\Fault\FaultFinder;
use Kettle\Material\Tables;

function faultFinder(): FaultFinder
{
    return new FaultFinder(Tables::shipped());
}

/** @param  list<string>  $facts */
function firstCause(array $signs, array $facts = []): string
{
    return faultFinder()->find($signs, array_fill_keys($facts, []))['causes'][0]['id'];
}

// The order to check in: common practice, no source.
it('puts first what the trade looks for first', function (array $signs, array $facts, string $cause) {
    expect(firstCause($signs, $facts))->toBe($cause);
})->with([
    'cloudy, squeezed fresh' => [['cloudy'], ['wet-herb', 'squeezed-wet'], 'water'],
    'cloudy, coconut in the cold' => [['cloudy'], ['dry-herb', 'hard-fat', 'cold-place'], 'fat-set'],
    'cloudy, and nothing known' => [['cloudy'], [], 'water'],
    'beads at the bottom' => [['beads'], [], 'water'],
    'mud' => [['sediment'], ['powder'], 'fine-herb'],
    'fur' => [['fur'], ['herb-above-seen'], 'mould'],
    'it fizzes' => [['fizz'], ['wet-herb'], 'ferment'],
    'the lid bulges' => [['bulging'], [], 'ferment'],
    'paint and crayon' => [['rancid'], [], 'rancid'],
    'weak, old herb' => [['weak'], ['herb-aged'], 'old-herb'],
    'weak, pulled early' => [['weak'], ['cut-short'], 'too-short'],
    'weak, never warm' => [['weak'], ['under-warm'], 'too-cool'],
    'weak, little herb' => [['weak'], ['lean'], 'too-lean'],
    'weak, mucilage' => [['weak'], ['mucilage'], 'not-for-oil'],
    'toasted' => [['fried'], ['over-ceiling'], 'too-hot'],
    'set in the cold' => [['set'], ['hard-fat'], 'fat-set'],
    'little came out' => [['little'], ['drained'], 'herb-drank'],
    'herb above' => [['herb-above'], [], 'not-covered'],
    'brown above' => [['herb-above', 'brown'], [], 'not-covered'],
    'cracked' => [['cracked'], ['flame'], 'shock'],
    'a soft salve' => [['soft'], [], 'too-little-wax'],
    'a hard salve' => [['hard'], [], 'too-much-wax'],
    'a grainy salve' => [['grainy'], ['hard-fat'], 'slow-cooling'],
    'a sweating salve' => [['sweating'], ['warm-place'], 'warm-store'],
    'a pitted salve' => [['pitted'], [], 'cool-pour'],
]);

it('says discard before anything else where life, or a splinter, is in it', function (string $sign) {
    $found = faultFinder()->find([$sign, 'cloudy'], []);
    expect($found['keep'])->toBe('discard')->and($found['says'])->toContain('Do not taste');
})->with(['floating', 'fur', 'fizz', 'bulging', 'off', 'cracked']);

it('does not say it of a bottle that is only cloudy', function () {
    expect(faultFinder()->find(['cloudy'], ['dry-herb' => [], 'hard-fat' => ['hard' => 'Coconut oil']])['keep'])
        ->toBe('keep')
        ->and(faultFinder()->find(['cloudy'], ['wet-herb' => []])['keep'])
        ->toBe('discard-if-eaten');
});

it('gives the evidence for and against, in words', function () {
    $causes = array_column(
        faultFinder()->find(
            ['cloudy'],
            ['wet-herb' => ['state' => 'fresh'], 'squeezed-wet' => ['way' => 'squeezed'], 'liquid-warm' => ['room' => '18 °C']],
        )['causes'],
        null,
        'id',
    );
    expect($causes['water']['for'])
        ->toBe(['The herb was fresh.', 'It was squeezed though it was wet.'])
        ->and($causes['water']['likely'])
        ->toBe('likely')
        ->and($causes['fat-set']['against'])
        ->toBe(['Its oils stay clear at 18 °C.'])
        ->and($causes['fat-set']['likely'])
        ->not->toBe('likely');
});

it('moves a cause the way each fact of it points', function () {
    $table = Tables::shipped()->table('faults');
    $checked = 0;
    foreach ($table->rows('causes') as $cause) {
        $sign = (string) array_key_first($cause->numbers('signs'));
        foreach ($cause->rows('evidence') as $row) {
            $score = fn (array $facts) => array_column(faultFinder()->find([$sign], $facts)['causes'], 'score', 'id')[$cause->text('id')];
            expect($score([$row->text('fact') => []]) - $score([]))->toBe((int) $row->number('weight'));
            $checked++;
        }
    }
    expect($checked)->toBeGreaterThan(40);
});

it('finds something for every sign there is', function () {
    foreach (faultFinder()->signs() as $sign) {
        expect(faultFinder()->find([$sign['id']], [])['causes'])->not->toBe([]);
    }
});

it('wants a sign, and one it knows', function (array $signs, string $reason) {
    try {
        faultFinder()->find($signs, []);
    } catch (FaultException $refused) {
        expect($refused->reason)->toBe($reason);

        return;
    }
    $this->fail('It found something.');
})->with([[[], 'missing'], [['haunted'], 'unknown']]);
