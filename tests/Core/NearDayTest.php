<?php

use Kettle\Time\Dates;

it('says a day by its weekday, and half a year off by its year', function (string $day, string $says) {
    expect(Dates::near(new DateTimeImmutable($day), new DateTimeImmutable('2026-11-29')))->toBe($says);
})->with([
    ['2026-12-03', 'Thu 3 Dec'],
    ['2027-01-03', 'Sun 3 Jan'],
    ['2027-05-30', 'Sun 30 May'],
    ['2027-05-31', '31 May 2027'],
    ['2027-11-29', '29 Nov 2027'],
    ['2025-11-29', '29 Nov 2025'],
]);
