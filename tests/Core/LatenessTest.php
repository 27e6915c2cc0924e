<?php

use Kettle\Batch\Lateness;
use Kettle\Caution\CautionException;
use Kettle\Diary\Stage;

it('says what is late, and from when', function () {
    $at = fn (string $moment) => new DateTimeImmutable($moment, new DateTimeZone('Europe/London'));
    $late = fn (Stage $stage, string $now, array $of = []) => new Lateness(
        $stage,
        $at('2026-10-01 10:00'),
        isset($of['filled']) ? $at($of['filled']) : null,
        $at('2026-10-29 10:00'),
        isset($of['strained']) ? $at($of['strained']) : null,
        $at('2027-03-31 00:00'),
        isset($of['use_by']) ? $at($of['use_by']) : null,
        $at($now),
    );
    $fill = ['filled' => '2026-10-01 10:00'];
    // Days are those of the calendar: from late one evening to early the next morning is one.
    expect($late(Stage::Planned, '2026-10-01 23:59')->fillDaysLate())
        ->toBe(0)
        ->and($late(Stage::Planned, '2026-10-02 00:01')->fillDaysLate())
        ->toBe(1)
        ->and($late(Stage::Steeping, '2026-10-09 10:00', $fill)->fillDaysLate())
        ->toBe(0)
        ->and($late(Stage::Steeping, '2026-10-28 23:59', $fill)->strainDaysLate())
        ->toBe(-1)
        ->and($late(Stage::Steeping, '2026-10-29 00:00', $fill)->isStrainDay())
        ->toBeTrue()
        ->and($late(Stage::Steeping, '2026-10-28 23:59', $fill)->isStrainDay())
        ->toBeFalse()
        ->and($late(Stage::Steeping, '2026-11-01 01:00', $fill)->strainDaysLate())
        ->toBe(3)
        ->and($late(Stage::Planned, '2026-11-01 01:00')->strainDaysLate())
        ->toBe(0)
        // Once it is strained it gets no later, nor longer on the herb.
        ->and($late(Stage::Bottled, '2026-12-24 10:00', $fill + ['strained' => '2026-10-31 10:00'])->strainDaysLate())
        ->toBe(2)
        ->and($late(Stage::Bottled, '2026-12-24 10:00', $fill + ['strained' => '2026-10-31 10:00'])->daysOnHerb())
        ->toBe(30)
        ->and($late(Stage::Steeping, '2026-10-08 10:00', $fill)->daysOnHerb())
        ->toBe(7)
        ->and($late(Stage::Steeping, '2026-10-08 10:00', $fill)->daysPlanned())
        ->toBe(28)
        // A best-before day is good to its end, also where the clock is not at Greenwich.
        ->and($late(Stage::Bottled, '2027-03-31 23:59')->isPastBest())
        ->toBeFalse()
        ->and($late(Stage::Bottled, '2027-04-01 00:00')->isPastBest())
        ->toBeTrue();
    $cold = fn (string $now, array $of = []) => $late(Stage::Settling, $now, $fill + $of + ['use_by' => '2026-10-05 10:00']);
    expect($cold('2026-10-05 09:59', ['strained' => '2026-10-01 14:00'])->isPastUse())
        ->toBeFalse()
        ->and($cold('2026-10-05 10:00', ['strained' => '2026-10-01 14:00'])->isPastUse())
        ->toBeTrue()
        ->and($cold('2026-10-02 10:00', ['strained' => '2026-10-01 14:00'])->isWarmTooLong())
        ->toBeFalse()
        ->and($cold('2026-10-02 10:00', ['strained' => '2026-10-01 14:01'])->isWarmTooLong())
        ->toBeTrue()
        ->and($cold('2026-10-01 14:00')->isWarmTooLong())
        ->toBeFalse()
        ->and($cold('2026-10-01 14:01')->isWarmTooLong())
        ->toBeTrue()
        ->and($late(Stage::Steeping, '2026-12-01 10:00', $fill)->isWarmTooLong())
        ->toBeFalse();
    $past = [[$cold('2026-10-05 10:00', ['strained' => '2026-10-01 14:00']), 'Mon 5 Oct'], [$cold('2026-10-01 14:01'), 'Mon 5 Oct']];
    foreach ($past as [$over, $until]) {
        expect(fn () => $over->refuse($until))->toThrow(CautionException::class);
    }
    $cold('2026-10-05 09:59', ['strained' => '2026-10-01 14:00'])->refuse('');
});
