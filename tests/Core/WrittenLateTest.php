<?php

use Kettle\Batch\Line\Line;
use Kettle\Batch\Line\Note;
use Kettle\Batch\Line\Outcome;
use Kettle\Batch\Line\Started;
use Kettle\Batch\Line\TaskLine;
use Kettle\Diary\DiaryException;
use Tests\Core\Folding;

it('takes what is written down late only in its turn', function () {
    $log = Folding::logbook([
        ['2026-11-01 09:00', new Started(null)],
        ['2026-11-01 10:00', new TaskLine('fill', Outcome::Done)],
        ['2026-11-03 10:00', new TaskLine('shake', Outcome::Done)],
        ['2026-11-20 10:00', new TaskLine('warm_on', Outcome::Done)],
    ]);
    $late = function (Line $line, string $at) use ($log): ?string {
        try {
            $log->refuseOutOfTurn($line, new DateTimeImmutable("{$at}Z"));

            return null;
        } catch (DiaryException $refused) {
            return $refused->sentence;
        }
    };
    $shake = new TaskLine('shake', Outcome::Done);
    $off = new TaskLine('warm_off', Outcome::Done);
    // A shake and a note may come between; a step only after the last.
    expect($late($shake, '2026-11-02 10:00'))
        ->toBeNull()
        ->and($late(new Note(), '2026-11-01 09:30'))
        ->toBeNull()
        ->and($late($off, '2026-11-20 11:00'))
        ->toBeNull()
        ->and($late($off, '2026-11-20 09:00'))
        ->toContain('on Fri 20 Nov, 10:00')
        ->and($late($shake, '2026-11-01 09:30'))
        ->toContain('on Sun 1 Nov, 10:00')
        ->and($late(new Note(), '2026-11-01 08:59'))
        ->toContain('on Sun 1 Nov, 09:00');
});
