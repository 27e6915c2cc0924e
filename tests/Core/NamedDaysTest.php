<?php

use Kettle\Share\NamedDays;
use Kettle\Share\SaidDay;
use Tests\Core\Support;

/*
 * Easter Sundays: Astronomical Applications Department of the U.S. Naval Observatory, "The Date of Easter", and the
 * earliest and latest there can be (1818 and 1943); from memory.
 */
it('has Easter where the almanacs have it', function (int $year, string $day) {
    expect(NamedDays::easter($year)->format('m-d'))->toBe($day);
})->with([
    [1818, '03-22'],
    [1943, '04-25'],
    [1954, '04-18'],
    [1981, '04-19'],
    [2000, '04-23'],
    [2008, '03-23'],
    [2011, '04-24'],
    [2019, '04-21'],
    [2024, '03-31'],
    [2025, '04-20'],
    [2026, '04-05'],
    [2027, '03-28'],
    [2030, '04-21'],
    [2038, '04-25'],
    [2049, '04-18'],
    [2076, '04-19'],
]);

/* As the calendars have them; common practice, no source. Today is Tuesday 24 November 2026. */
it('reads a day by its name, to come or gone', function (string $said, string $ahead, string $gone) {
    $days = new SaidDay(new DateTimeImmutable('2026-11-24'));
    expect([$days->read($said, true), $days->read($said, false)])->toBe([$ahead, $gone]);
})->with([
    ['Christmas', '2026-12-25', '2025-12-25'],
    ['xmas eve', '2026-12-24', '2025-12-24'],
    ['Boxing Day', '2026-12-26', '2025-12-26'],
    ['new year', '2027-01-01', '2026-01-01'],
    ['New Year’s Eve', '2026-12-31', '2025-12-31'],
    ['twelfth night', '2027-01-05', '2026-01-05'],
    ['Candlemas', '2027-02-02', '2026-02-02'],
    ['St Valentine’s Day', '2027-02-14', '2026-02-14'],
    ['Good Friday', '2027-03-26', '2026-04-03'],
    ['Easter', '2027-03-28', '2026-04-05'],
    ['Easter Monday', '2027-03-29', '2026-04-06'],
    ['Easter Eve', '2027-03-27', '2026-04-04'],
    ['Whit Sunday', '2027-05-16', '2026-05-24'],
    ['Whit Monday', '2027-05-17', '2026-05-25'],
    ['Pentecost', '2027-05-16', '2026-05-24'],
    ['midsummer', '2027-06-24', '2026-06-24'],
    ['Midsummer Eve', '2027-06-23', '2026-06-23'],
    ['St John’s Day', '2027-06-24', '2026-06-24'],
    ['Lammas', '2027-08-01', '2026-08-01'],
    ['Michaelmas', '2027-09-29', '2026-09-29'],
    ['Hallowe’en', '2027-10-31', '2026-10-31'],
    ['Martinmas', '2027-11-11', '2026-11-11'],
    ['St Nicholas', '2026-12-06', '2025-12-06'],
]);

it('takes today for the day it is', function () {
    expect(NamedDays::read('christmas', new DateTimeImmutable('2026-12-25'), true))
        ->toBe('2026-12-25')
        ->and(NamedDays::read('easter', new DateTimeImmutable('2026-04-05'), false))
        ->toBe('2026-04-05');
});

it('takes no plant for a day, and no day that is kept on another from place to place', function (string $said) {
    expect((new SaidDay(new DateTimeImmutable('2026-11-24')))->read($said, true))->toBeNull();
})->with(['Christmas rose', 'Easter lily', 'Michaelmas daisy', 'St John’s wort', 'Mother’s Day', 'the fair', 'Easterly']);

it('plans for it, and knows since when a jar stands', function (string $said, array $has) {
    $wish = Support::sentence($said)['wish'];
    expect(array_intersect_key($wish, $has + ['begun' => 0, 'ready_by' => 0]))->toBe($has);
})->with([
    ['calendula in olive, by Easter', ['ready_by' => '2027-03-28']],
    ['calendula in olive until Easter Sunday', ['ready_by' => '2027-03-28']],
    ['arnica in olive for Whit Sunday', ['ready_by' => '2027-05-16']],
    ['calendula in olive for Valentine’s Day', ['ready_by' => '2027-02-14']],
    ['calendula in olive since midsummer', ['begun' => '2026-06-24']],
    ['St John’s wort in olive', []],
    // Was begun in June, with its herb dried by a guess.
    ['lavender in olive for a wedding on 14 June', ['ready_by' => '2027-06-14']],
    ['lavender in olive for my sister’s birthday, on 3 March', ['ready_by' => '2027-03-03']],
    ['calendula in olive by the end of February', ['ready_by' => '2027-02-28']],
    ['calendula in olive by end January', ['ready_by' => '2027-01-31']],
    ['calendula in olive by mid-March', ['ready_by' => '2027-03-15']],
    ['calendula in olive by the beginning of May', ['ready_by' => '2027-05-01']],
    // Of a month alone the first of it: so that nothing is late.
    ['calendula in olive by January', ['ready_by' => '2027-01-01']],
    ['calendula in olive by January 2028', ['ready_by' => '2028-01-01']],
    ['calendula in olive by May 5', ['ready_by' => '2027-05-05']],
    ['calendula in olive by Jan. 5', ['ready_by' => '2027-01-05']],
    ['Michaelmas daisy in olive', []],
]);
