<?php

use Kettle\Recipe\WishException;
use Kettle\Share\RecipeException;
use Tests\Core\Support;

it('guesses by which way only where hours or warmth are said, and says so', function () {
    expect(Support::sentence('calendula in olive for 2 hours')['guesses'])
        ->toBe(['By which way is not said: double boiler is a guess.'])
        ->and(Support::sentence('calendula in olive for 3 weeks')['wish']['method'])
        ->toBe('cold')
        ->and(Support::sentence('calendula in olive')['guesses'])
        ->toBe([])
        // Nothing is held at 38 C for six weeks.
        ->and(Support::sentence('calendula in olive, 38 C, 6 weeks'))
        ->toMatchArray(['unread' => ['38 C'], 'guesses' => ['By which way is not said: cold, on a shelf is a guess.']])
        ->and(Support::sentence('1 part herb to 5 parts oil, calendula in olive'))
        ->toMatchArray(['guesses' => ['“1 part herb to 5 parts oil” is taken as parts by volume.'], 'unread' => []])
        ->and(Support::sentence('1 part herb to 5 parts oil, calendula in olive')['wish']['ratio'])
        ->toBe('1:5 v/v')
        ->and(Support::sentence('calendula in olive by Friday 12 December')['guesses'])
        ->toBe(['12 December is a Saturday.'])
        ->and(Support::sentence('calendula in olive by Saturday 12 December')['guesses'])
        ->toBe([])
        // A name with a letter wrong is asked about, and taken for nothing.
        ->and(Support::sentence('marshmellow root in sunfower')['guesses'])
        ->toBe([
            'Which herb is not understood. Write it otherwise, or choose it in the sentence.',
            '“marshmellow” may be marshmallow root. Write it so, or choose it in the sentence, if it is.',
            '“sunfower” may be sunflower oil or high-oleic sunflower oil. Write it so, or choose it in the sentence, if it is.',
        ])
        ->and(Support::sentence('blue unicorn in olive oil'))
        ->toMatchArray([
            'unread' => ['blue unicorn'],
            'guesses' => ['Which herb is not understood. Write it otherwise, or choose it in the sentence.'],
        ]);
});

it('plans what it read, or refuses it by its words', function (string $text, ?string $field) {
    try {
        Support::planning()->plan(Support::sentence($text)['wish'], Support::kitchen());
        $fault = null;
    } catch (WishException $refused) {
        $fault = $refused->faults[0]['field'];
    }
    expect($fault)->toBe($field);
})->with([
    ['a pint of calendula and yarrow in olive, slow cooker, for a salve, by 12 December', null],
    // It does not go into one of them, and two are offered.
    ['300 mL of marshmallow-root oil for a salve, dried, one to five in sunflower and jojoba, in pint jars, slow cooker', 'jar'],
    ['300 mL of marshmallow-root oil, dried, one to five in sunflower and jojoba, in 2 pint jars, slow cooker', null],
    ['three parts linden to one part mullein in rice bran', null],
    ['six 50 ml bottles of helichrysum in jojoba for the face', null],
    ['rosemary and thyme in sunflower and jojoba, on the shelf 4 weeks', null],
    ['calendula in olive, slow cooker at 90 C for 2 h', 'warmth'],
    ['calendula in moon oil', 'oils.0'],
    ['calendula in almond oil without nuts', 'heed'],
    ['fresh garlic in olive for the kitchen', 'purpose'],
]);

it('refuses what has neither a herb nor an oil', function (string $text) {
    Support::sentence($text);
})
    ->with(['hello', '12 December', '🌿🌿🌿', str_repeat('the sea is grey ', 60), "\u{202E}", 'in'])
    ->throws(RecipeException::class);

it('breaks at nothing that can be typed', function () {
    $words = [
        'calendula',
        'in',
        'olive',
        'a pint of',
        '1:5',
        'at 49 C',
        'for 2 h',
        'by 31 February',
        ',',
        'and',
        '½',
        '8 cloves of',
        '(',
        '\\',
        '%',
    ];
    mt_srand(7);
    for ($i = 0; $i < 400; $i++) {
        $text = implode(' ', array_map(fn () => $words[mt_rand(0, count($words) - 1)], range(0, mt_rand(1, 12))));
        try {
            $read = Support::sentence($text);
            expect($read['wish']['herbs'])->not->toBe([]);
        } catch (RecipeException) {
            continue;
        }
    }
});

it('says that of a salve the oil is planned here', function (string $text, bool $says) {
    expect(in_array('The oil for it is planned here; the Melt makes the rest.', Support::sentence($text)['guesses'], true))->toBe($says);
})->with([['a calendula salve in olive', true], ['calendula in olive for a salve', false], ['calendula hair oil in olive', false]]);
