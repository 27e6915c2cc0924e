<?php

use Kettle\Measure\AmountReader;
use Kettle\Reason\RefusedException;
use Kettle\Warmth\Band;
use Kettle\Warmth\ByEye;

// What is typed beside a pot that should have 43 to 60 °C.
function seenBy(bool $fahrenheit, string $typed): float|string
{
    try {
        return (new ByEye(new AmountReader(), $fahrenheit))->read($typed, Band::of(43, 49, 60));
    } catch (RefusedException $refused) {
        expect($refused->field)->toBe('warmth');

        return $refused->reason.': '.$refused->sentence;
    }
}

// 121 °F is 49.44 °C and 131 °F is 55 °C: NIST SP 811 (2008), B.8, t/°C = (t/°F - 32)/1.8.
it('reads a warmth as it is written beside the pot', function (bool $fahrenheit, string $typed, float $celsius) {
    expect(seenBy($fahrenheit, $typed))->toBe($celsius);
})->with([
    [false, '49', 49.0],
    [false, '49,5', 49.5],
    [false, ' 55° ', 55.0],
    [false, 'about 55', 55.0],
    [false, '55 degrees', 55.0],
    [false, '49 c.', 49.0],
    [false, '131 F', 55.0],
    [false, '131 degrees Fahrenheit', 55.0],
    [true, '121', 49.44],
    [true, '55 C', 55.0],
    // Far from the band, and further in the other degrees: the pot is cold yet, or boils.
    [false, '18', 18.0],
    [false, '100', 100.0],
    [false, '0', 0.0],
    [true, '68', 20.0],
    [true, '212', 100.0],
    // Said which: taken.
    [false, '131 C', 131.0],
    [true, '50 F', 10.0],
]);

it('asks which degrees they are where the others alone would be right', function (bool $fahrenheit, string $typed, string $asked) {
    expect(seenBy($fahrenheit, $typed))->toBe('ambiguous: '.$asked);
})->with([
    [false, '131', '“131” would be far from this pot’s band in Celsius, and within it in Fahrenheit. Write 131 F or 131 C.'],
    [false, '120°', '“120” would be far from this pot’s band in Celsius, and within it in Fahrenheit. Write 120 F or 120 C.'],
    [true, '49', '“49” would be far from this pot’s band in Fahrenheit, and within it in Celsius. Write 49 C or 49 F.'],
]);

it('refuses what is no warmth, or of no pot, by the words that were typed', function (string $typed, string $reason) {
    expect(seenBy(false, $typed))
        ->toStartWith($reason.': “'.trim($typed).'”')
        ->not->toContain($typed.' C');
})->with([
    ['warm', 'unreadable'],
    ['328 K', 'unreadable'],
    ['', 'unreadable'],
    ['2 cups', 'unreadable'],
    ['50-60', 'range'],
    ['50/60', 'range'],
    ['-3', 'out_of_range'],
    ['-3 C', 'out_of_range'],
    ['1000 F', 'out_of_range'],
    ['250', 'out_of_range'],
]);
