<?php

use Kettle\Material\Names;

it('finds what was typed in a name, whatever its marks', function (string $name, string $typed, bool $has) {
    expect(Names::has($name, $typed))->toBe($has);
})->with([
    ['St John’s wort', 'st johns', true],
    ['St John’s wort', "john's", true],
    ['Crème de souci', 'creme', true],
    ['Lemon thyme', 'lemon-thyme', true],
    ['Lemon thyme', 'LEMON', true],
    ['Lemon thyme', 'lime', false],
    ['Lemon thyme', '', false],
    ['Lemon thyme', '…', false],
]);

// Misspellings as people write them; common practice, no source.
it('tells what was meant by a name with a letter or two wrong, and by nothing else', function (string $typed, array $meant) {
    $names = [
        'calendula' => ['calendula', 'Calendula officinalis', 'pot marigold'],
        'marshmallow-root' => ['marshmallow root', 'Althaea officinalis'],
        'marshmallow-leaf' => ['marshmallow leaf'],
        'helichrysum' => ['helichrysum'],
        'sage' => ['sage'],
        'slow-cooker' => ['slow cooker'],
        'lovage' => ['lovage'],
    ];
    expect(Names::nearest($typed, $names))->toBe($meant);
})->with([
    ['calandula', ['calendula' => 'calendula']],
    ['Calednula', ['calendula' => 'calendula']],
    ['calendulas', ['calendula' => 'calendula']],
    ['marigolde', ['calendula' => 'marigold']],
    ['marshmellow', ['marshmallow-root' => 'marshmallow', 'marshmallow-leaf' => 'marshmallow']],
    ['helicrysum', ['helichrysum' => 'helichrysum']],
    ['slow coker', ['slow-cooker' => 'slow cooker']],
    // Short words are near too many others, and another first letter is another name.
    ['sagd', []],
    ['rovage', []],
    ['lovegg', []],
    ['cauliflower', []],
    ['', []],
    ['…', []],
    ['🌿🌿🌿🌿🌿', []],
]);
