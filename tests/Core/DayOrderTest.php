<?php

use Kettle\Time\DayOrder;

it('is told by days that can be read one way only', function (array $days, ?DayOrder $order) {
    expect(DayOrder::shownBy($days))->toBe($order);
})->with([
    [['25/03/2026', '03/04/2026'], DayOrder::DayFirst],
    [['03/25/2026', '03/04/2026'], DayOrder::MonthFirst],
    [['25-03-26'], DayOrder::DayFirst],
    [['03/04/2026', '01/12/2026'], null],
    [['25/03/2026', '03/25/2026'], null],
    [['2026-03-25', '', 'soon'], null],
    // Of two parts over the twelfth neither is a month.
    [['25/26/2026'], null],
    [[], null],
]);

it('writes a day the long way, and leaves what is none or may be two', function (string $typed, ?DayOrder $order, string $plain) {
    expect(DayOrder::plain($typed, $order))->toBe($plain);
})->with([
    ['03/04/2026', DayOrder::DayFirst, '2026-04-03'],
    ['03/04/2026', DayOrder::MonthFirst, '2026-03-04'],
    ['03/04/2026', null, '03/04/2026'],
    // What can be read one way only is read so, whatever the others are.
    ['25/03/2026', DayOrder::MonthFirst, '2026-03-25'],
    ['03/25/2026', null, '2026-03-25'],
    ['5/5/2026', null, '2026-05-05'],
    // With points between, the day is first: common practice, no source.
    ['3.4.2026', null, '2026-04-03'],
    ['3.4.2026', DayOrder::MonthFirst, '2026-04-03'],
    ['3/4/26 9:05', DayOrder::DayFirst, '2026-04-03 9:05'],
    ['2026/3/4', null, '2026-03-04'],
    ['29/02/2028', null, '2028-02-29'],
    ['29/02/2027', null, '29/02/2027'],
    ['2026-03-04T10:00Z', DayOrder::DayFirst, '2026-03-04T10:00Z'],
    ['25/03-2026', null, '25/03-2026'],
    ['25/03/20261', null, '25/03/20261'],
    ['', null, ''],
]);
