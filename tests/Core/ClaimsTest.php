<?php

use Kettle\Caution\Claims;
use Kettle\Material\Tables;

// Directive 2001/83/EC, Article 1(2)(a), from memory: a medicinal product is what is presented as having properties
// for treating or preventing disease in human beings. Which words do so is common practice, no source.
it('finds what a label says to heal', function (string $text, array $words) {
    expect(Claims::of(Tables::shipped())->in($text))->toBe($words);
})->with([
    ['Cures eczema', ['Cures', 'eczema']],
    ['Healing salve', ['Healing']],
    ['for psoriasis, PSORIASIS and gout', ['psoriasis', 'gout']],
    ['an anti-inflammatory rub', ['anti-inflammatory']],
    ['antibacterial.', ['antibacterial']],
    ['treats dry skin', ['treats']],
]);

it('takes no name of a plant, nor what only sounds so, for a claim', function (string $text) {
    expect(Claims::of(Tables::shipped())->in($text))->toBe([]);
})->with([
    'Self-heal oil',
    'Selfheal and calendula',
    'Heal-all, self heal and woundwort',
    'a treat for dry hands',
    'health food from a secure shelf',
    'cured wood, healthy garden',
    'For the skin only, not to be eaten.',
    'feverfew, eyebright, bruisewort',
    '',
]);
