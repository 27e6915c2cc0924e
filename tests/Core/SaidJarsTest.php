<?php

use Tests\Core\Support;

// 250 mL are 8.45 US fl oz, a quart 946.4 mL: NIST Handbook 44, Appendix C. A pint jar holds 505 mL to its brim here.
it('takes a jar said by its size for the house’s own of that size', function (string $text, array $wish, array $unread = []) {
    $read = Support::sentence($text);
    expect(array_diff_key($read['wish'], ['herbs' => 0, 'oils' => 0]))
        ->toBe($wish)
        ->and($read['unread'])
        ->toBe($unread)
        ->and($read['wish']['herbs'])
        ->toBe([['id' => 'calendula']]);
})->with([
    ['calendula in olive, 4 jars of 250 mL', ['jar' => '237', 'jars' => '4']],
    ['four 250 ml jars of calendula in olive', ['jar' => '237', 'jars' => '4']],
    ['calendula in olive in a 500 mL jar', ['jar' => '473']],
    ['calendula in olive, 2 x 1 L jars', ['jar' => '946', 'jars' => '2']],
    ['a 16 oz jar of calendula in olive', ['jar' => '473']],
    ['a 250 mL jar of calendula oil in olive', ['jar' => '237']],
    ['calendula, 250 mL olive oil, in a 500 mL jar', ['jar' => '473', 'oil_amount' => '250 mL']],
    // However it is said, and whatever a jar is besides.
    ['a clean, dry pint jar of calendula in olive', ['jar' => '473']],
    ['a 16oz mason jar of calendula in olive', ['jar' => '473']],
    ['2 jars (500 mL) of calendula in olive', ['jar' => '473', 'jars' => '2']],
    ['2 jars of calendula in olive, each 500 mL', ['jar' => '473', 'jars' => '2']],
    ['3 jars of calendula in olive, 250 mL each', ['jar' => '237', 'jars' => '3']],
    ['three jars of 1 pint, calendula in olive', ['jar' => '473', 'jars' => '3']],
    ['half gallon jar of calendula in olive', ['jar' => '1893']],
    ['half a gallon jar of calendula in olive', ['by_jar' => ['fill' => 'half']], ['gallon']],
    ['half fill a pint jar with calendula, olive', ['by_jar' => ['fill' => 'half'], 'jar' => '473']],
    [
        'three-quarters fill two quart jars with calendula in olive',
        ['by_jar' => ['fill' => 'three-quarters'], 'jar' => '946', 'jars' => '2'],
    ],
    // The house has none of that size: the words stay, marked.
    ['three 33 mL jars of calendula in olive', ['jars' => '3'], ['33 mL']],
    ['a 5 litre jar of calendula in olive', [], ['5 litre']],
    ['two gallon jars of calendula in olive', ['jars' => '2'], ['gallon']],
    ['calendula in olive in a 600 mL jar', [], ['600 mL']],
    // What comes out of it is no jar.
    ['300 mL of calendula oil in olive', ['finished' => ['amount' => '300 mL']]],
    ['calendula in olive, 3 bottles of 100 mL', ['finished' => ['count' => '3', 'size' => '100 mL']]],
]);

it('fills a jar as far as it is said, wherever that stands', function (string $text, array $byJar, array $oils) {
    $wish = Support::sentence($text)['wish'];
    expect($wish['by_jar'] ?? [])
        ->toBe($byJar)
        ->and($wish['oils'])
        ->toBe($oils);
})->with([
    // Three times as much herb, were it full.
    [
        'lavender buds to fill a half litre jar a third full, then sunflower to the top',
        ['fill' => 'third', 'cover' => 'brim'],
        [['id' => 'sunflower']],
    ],
    ['fill a 500 ml jar half full of calendula, olive to the top', ['fill' => 'half', 'cover' => 'brim'], [['id' => 'olive']]],
    [
        'fill the jar up to a third with rose petals, almond oil to the rim',
        ['fill' => 'third', 'cover' => 'brim'],
        [['id' => 'sweet-almond']],
    ],
    ['enough calendula to fill a pint jar, olive', ['fill' => 'full'], [['id' => 'olive']]],
]);

it('knows since when a jar stands, however it is said', function (string $text, ?string $begun, array $unread = []) {
    // Read on Tuesday 24 November 2026.
    $read = Support::sentence($text);
    expect($read['wish']['begun'] ?? null)
        ->toBe($begun)
        ->and($read['unread'])
        ->toBe($unread);
})->with([
    ['2 jars of plantain in olive, 3 weeks ago', '2026-11-03'],
    // How long it stands by now is no time that it is to stand.
    ['rosemary in olive, about a month old', '2026-10-24'],
    ['lemon balm in olive, 10 days now', '2026-11-14'],
    ['lavender in jojoba, solar, 1 week in', '2026-11-17'],
    ['rose petals in almond, been going 5 days', '2026-11-19'],
    ['calendula in olive for 10 days in the sun', null],
    // A day of which nobody says what it is.
    ['plantain & olive 14/11/26', '2026-11-14'],
    ['comfrey, olive, pint, started 15.11.2026', '2026-11-15'],
    ['arnica olive 2 November', '2026-11-02'],
    ['calendula in olive, 20 December', null],
    ['calendula in olive, 3/4/26', null, ['3/4/26']],
    ['calendula in olive, 1 June 2028', null, ['1 June 2028']],
    ['plantain in olive since the 1st', '2026-11-01'],
    // The thirtieth of this month is to come: it was that of October.
    ['plantain in olive since the 30th', '2026-10-30'],
    ['started comfrey root in olive on Monday', '2026-11-23'],
    ['put up dried plantain in olive on 12 October', '2026-10-12'],
    ['dried plantain in olive begun last night', '2026-11-23'],
    ['dried plantain in olive, slow cooker, since this morning', '2026-11-24'],
    ['dried plantain in olive since September', null, ['since September']],
    // To be begun is not begun, and what it is for is no day.
    ['plantain in olive, start on Monday', null],
    ['plantain in olive, ready by 1 December', null],
]);

it('marks whether the herb of a jar that stands was dried, and takes the worse of one that spoils', function (
    string $text,
    ?string $state,
    int $guesses,
) {
    $read = Support::sentence($text);
    expect($read['wish']['herbs'][0]['state'] ?? null)
        ->toBe($state)
        ->and(array_filter($read['guesses'], fn (string $guess) => str_contains($guess, 'was dried is not said')))
        ->toHaveCount($guesses);
})->with([
    ['calendula in olive since yesterday', 'dried', 1],
    // NCHFP on garlic in oil (from memory): fresh, it is no oil that stands on a shelf.
    ['garlic in olive since yesterday', 'fresh', 1],
    ['dried garlic in olive since yesterday', 'dried', 0],
    ['fresh calendula in olive since yesterday', 'fresh', 0],
    // Nobody dries a resin, and a powder is dry.
    ['pine resin in olive since yesterday', null, 0],
    ['turmeric powder in olive since yesterday', 'dried', 0],
    // What is to be begun can be chosen yet.
    ['garlic in olive', null, 0],
]);

it('takes a day just past for when it was begun, and one to come for when it is', function (string $text, array $wish, ?string $told) {
    $read = Support::sentence($text);
    expect(array_intersect_key($read['wish'], ['begun' => 1, 'start' => 1]))
        ->toBe($wish)
        ->and(in_array($told, $read['guesses'], true))
        ->toBe($told !== null);
})->with([
    ['nettle in rapeseed from 10 Oct', ['begun' => '2026-10-10'], '“10 Oct” is taken as when it was begun.'],
    ['calendula in olive, start 1 October', ['begun' => '2026-10-01'], '“1 October” is taken as when it was begun.'],
    ['calendula in olive from 10 Dec', ['start' => '2026-12-10'], null],
    ['calendula in olive from 3 March', ['start' => '2027-03-03'], null],
    ['calendula in olive, begin on Saturday', ['start' => '2026-11-28'], null],
]);
