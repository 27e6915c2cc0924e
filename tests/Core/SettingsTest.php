<?php

use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Diary\HomeHours;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Coordinate;
use Kettle\Measure\Money;
use Kettle\Time\TimeOfDay;

/* The 12-hour clock: 12 am is midnight, 12 pm noon (US Government Publishing Office Style Manual, 2016, 12.9, from memory). */
it('reads a time of day as people write it', function (string $typed, ?string $meant) {
    $minute = TimeOfDay::minute($typed);
    expect($minute === null ? null : TimeOfDay::text($minute))->toBe($meant);
})->with([
    ['07:00', '07:00'],
    ['7', '07:00'],
    ['7.30', '07:30'],
    ['730', '07:30'],
    ['1930', '19:30'],
    ['7 30', '07:30'],
    ['19h30', '19:30'],
    ['19h', '19:00'],
    ['7am', '07:00'],
    ['7 a.m.', '07:00'],
    ['10:30 PM', '22:30'],
    ['12 am', '00:00'],
    ['12 pm', '12:00'],
    ['noon', '12:00'],
    ['7 o’clock', '07:00'],
    ['24:00', null],
    ['7:60', null],
    ['13 pm', null],
    ['0 am', null],
    ['7 p', null],
    ['late', null],
    ['', null],
]);

it('reads when somebody is at home', function (string $typed, string $kept) {
    expect(HomeHours::read($typed))->toBe($kept);
    // What is kept is lived by, and read again as the same.
    Availability::between('06:00', '23:00')->atHome([1 => $kept === HomeHours::NEVER ? '' : $kept]);
    expect(HomeHours::read($kept))->toBe($kept);
})->with([
    ['', ''],
    ['all day', ''],
    ['-', '-'],
    ['out', '-'],
    ['not at all', '-'],
    ['07:00-08:30, 17:00-22:30', '07:00-08:30, 17:00-22:30'],
    ['7-8.30; 17-22', '07:00-08:30, 17:00-22:00'],
    ['9am to 5pm', '09:00-17:00'],
    ['from 6pm', '18:00-23:59'],
    ['until 9 and from 18:00', '00:00-09:00, 18:00-23:59'],
    ['from 9 till 17', '09:00-17:00'],
]);

it('asks where it cannot be read when somebody is at home', function (string $typed, string $says) {
    expect(fn () => HomeHours::read($typed))->toThrow(DiaryException::class, $says);
})->with([
    ['mornings', '“mornings” is not a while of the day.'],
    ['9-5', '“9-5” ends before it begins. Write it by 24 hours, like 09:00-17:00, or 9am-5pm.'],
    ['9-25', '“9-25” is not a while of the day.'],
    ['7-8-9', '“7-8-9” is not a while of the day.'],
    ['18', '“18” is not a while of the day.'],
]);

/* Sixty minutes to a degree and sixty seconds to a minute; north and east are above nought (ISO 6709, from memory). */
it('reads a latitude and a longitude as a map shows it', function (string $typed, string $above, ?float $meant) {
    $read = Coordinate::read($typed, $above);
    $meant === null ? expect($read)->toBeNull() : expect($read)->toEqualWithDelta($meant, 1e-5);
})->with([
    ['59.25', 'N', 59.25],
    ['-2.6', 'E', -2.6],
    ['−2,6', 'E', -2.6],
    ['59°15′ N', 'N', 59.25],
    ['59° 15\' 0" N', 'N', 59.25],
    ['N 59 15 36', 'N', 59.26],
    ['2°36′W', 'E', -2.6],
    ['33.9 S', 'N', -33.9],
    ['59.25 W', 'N', null],
    ['-2.6 W', 'E', null],
    ['59°75′', 'N', null],
    ['59.25, -2.6', 'N', null],
    ['59.5 15', 'N', null],
    ['1234', 'E', null],
    ['59°1536', 'N', null],
    ['59′', 'N', null],
    ['59°', 'N', 59.0],
    ['north', 'N', null],
]);

it('reads a figure with what may stand beside it, and no other', function (string $typed, ?float $meant) {
    expect((new AmountReader())->figure($typed, 'drops?'))->toBe($meant);
})->with([['20', 20.0], ['20 drops', 20.0], ['18,5', 18.5], ['-4', -4.0], ['20 mL', null], ['many', null], ['', null]]);

/* Codes: ISO 4217. The signs of one money and no other: common practice, no source. */
it('knows a money by its code, or by a sign that is of no other', function (string $typed, ?string $code) {
    expect(Money::code($typed))->toBe($code);
})->with([
    ['GBP', 'GBP'],
    ['eur', 'EUR'],
    ['£', 'GBP'],
    ['€', 'EUR'],
    ['zł', 'PLN'],
    ['$', null],
    ['kr', null],
    ['ZZZ', null],
    ['QQQ', null],
    ['pounds', null],
    ['GB', null],
]);

it('reads a price, and nothing else for one', function (string $typed, ?float $price) {
    expect(Money::read($typed))->toBe($price);
})->with([
    ['4.50', 4.5],
    ['4,50', 4.5],
    ['£4', 4.0],
    ['1,250.00', 1250.0],
    ['1.250,00 €', 1250.0],
    ['50p', null],
    ['12/kg', null],
    ['4 each', null],
    ['a crown', null],
    ['-4', null],
]);

it('knows by name what a kitchen in a document has to work with', function () {
    $read = fn (array $things) => Kettle\Recipe\KitchenReader::read(
        ['things' => $things],
        new DateTimeImmutable('2026-11-24'),
        Kettle\Material\Tables::shipped(),
    );
    expect($read(['shelf', 'pan'])->things)->toBe(['shelf', 'pan']);
    try {
        $read(['shelf', 'samovar']);
        $fault = null;
    } catch (Kettle\Recipe\WishException $refused) {
        $fault = $refused->faults[0];
    }
    expect($fault)->toBe([
        'field' => 'house.things.1',
        'reason' => 'unknown',
        'sentence' => '“samovar” is not among what there may be to work with. Choose from the list.',
    ]);
});
