<?php

use Kettle\Batch\Line\Acknowledged;
use Kettle\Batch\Line\Bottled;
use Kettle\Batch\Line\Checked;
use Kettle\Batch\Line\ColourLook;
use Kettle\Batch\Line\Decanted;
use Kettle\Batch\Line\Discarded;
use Kettle\Batch\Line\FaultNoted;
use Kettle\Batch\Line\FilledSize;
use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Lines;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\PurposeChanged;
use Kettle\Batch\Line\PutAway;
use Kettle\Batch\Line\ScentLook;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\Strained;
use Kettle\Batch\Line\TaskLine;
use Kettle\Batch\Line\Undone;
use Kettle\Batch\Line\Used;
use Kettle\Reason\Said;

it('reads every line back as it was written', function (Line $line) {
    $again = Lines::read($line->kind(), json_decode((string) json_encode($line->data()), true));
    expect($again)->toEqual($line)->and($again->data())->toEqual($line->data());
})->with([
    [new Started(Said::of('sentence.of', ['jar' => 'pint jar']), [['id' => 'skin-only', 'says' => Said::of('caution:skin-only.says')]])],
    [new Started(Said::asItStood('A pint jar.'))],
    [new TaskLine('warm_off-2', Outcome::Done, '', ['fur'], 7.25)],
    [new TaskLine('warm_on', Outcome::Done, against: Said::of('stove.over-ceiling', ['ceiling' => ['C' => 60.0]]))],
    [new TaskLine('shake', Outcome::Skipped)],
    [new TaskLine('strain', Outcome::Later, '2026-10-30T10:00:00+00:00')],
    [
        new Strained(
            '300 mL',
            300.5,
            'less',
            Said::of('outcome.less', ['share' => ['%' => 65.0]]),
            0.71,
            'pressed',
            true,
            'had',
            92.5,
            'compost',
            'paper',
            ['time'],
        ),
    ],
    [new Strained('300 mL', 300.5, 'less', Said::asItStood('Less.'), null, null, false)],
    [new Decanted('290 mL', 290.0, 10.5, true)],
    [new Bottled([new FilledSize('s', '50 mL', 50.0, 3)], 150.0, 2.5, ['place' => 'fridge'], [['lot' => 'l', 'count' => 2]])],
    [new Used(2, 'given', 50.0, '', 'a neighbour')],
    [new Checked('sound', Said::of('check.sound'), ['smell' => 'good'])],
    [new PutAway(['place' => 'warm', 'where' => 'by the range'])],
    [new PurposeChanged('skin', 'kitchen')],
    [new FaultNoted(['cloudy'], Said::just(['sign' => 'cloudy']), 'water', Said::just(['fault' => 'water']), 'use-soon')],
    [new Acknowledged([['id' => 'a', 'says' => Said::of('caution:a.says')]])],
    [new ColourLook([70.5, 2.0, 40.0], [229, 178, 58], true, 'photo', 'p')],
    [new ScentLook(7)],
    [new Note()],
    [new Discarded()],
    [new Undone('strained')],
]);

it('reads lines of before, and of any kind, without falling over', function () {
    foreach (
        [
            'started',
            'task',
            'strained',
            'decanted',
            'bottled',
            'used',
            'checked',
            'kept',
            'purpose',
            'fault',
            'acknowledged',
            'look',
            'note',
            'discarded',
            'undone',
            'nothing known',
        ] as $kind
    ) {
        foreach (
            [
                [],
                ['ml' => 'x', 'bottles' => 'y', 'seen' => 5, 'task' => [], 'cautions' => [1, 'a']],
                ['bottles' => [7, []], 'kept' => ['place' => 3]],
            ] as $data
        ) {
            expect(Lines::read($kind, $data)->kind())->toBe($kind === 'nothing known' ? 'note' : $kind);
        }
    }
});
