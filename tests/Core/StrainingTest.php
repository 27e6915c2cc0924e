<?php

use Kettle\Batch\Straining;
use Kettle\Caution\ColdStorage;

/** @param  array<string, mixed>  $of */
function straining(array $of = []): Straining
{
    return new Straining(...[...['powder' => false, 'wet' => false, 'heated' => false, 'hardFat' => false, 'staining' => false], ...$of]);
}

/** @return array<string, string> what is said, by step */
function strainingSays(Straining $straining, string $way): array
{
    return array_column($straining->steps($way), 'says', 'id');
}

// Trade section 6: cloth for cut herb, paper for powder, a press; dry squeezed, wet only drained; hard oils warm; gloves.
// Common practice, no source.
it('strains each herb as the trade does', function (array $of, string $way, string $step, string $words) {
    expect(strainingSays(straining($of), $way)[$step])->toContain($words);
})->with([
    'cut herb through cloth' => [[], 'squeezed', 'filter', 'cloth over a sieve'],
    'powder through paper, slowly' => [['powder' => true], 'squeezed', 'filter', 'paper, slowly'],
    'a press lined' => [[], 'pressed', 'filter', 'Line the press'],
    'dry herb wrung' => [[], 'squeezed', 'way', 'wring it'],
    'wet herb only drained' => [['wet' => true], 'drained', 'way', 'Do not squeeze'],
    'wet herb that somebody would squeeze' => [['wet' => true], 'squeezed', 'way', 'Better not'],
    'a bag of powder, gently' => [['powder' => true], 'squeezed', 'way', 'gently'],
    'hard oils while warm' => [['hardFat' => true, 'heated' => true], 'squeezed', 'warm', 'while it is warm'],
    'a jar from the bath wiped' => [['heated' => true], 'squeezed', 'wipe', 'wipe it dry'],
    'gloves for what stains' => [['staining' => true], 'squeezed', 'gloves', 'Gloves'],
    'a day of standing' => [[], 'squeezed', 'settle', '24 h'],
    'the cold one in the cold' => [['wet' => true, 'storage' => ColdStorage::FRIDGE], 'drained', 'settle', 'refrigerator'],
    'spent herb in the soup' => [['kitchen' => true], 'squeezed', 'spent', 'soup'],
    'spent herb in a scrub' => [[], 'squeezed', 'spent', 'scrub'],
]);

it('gives a reason with every step, and says each but once', function () {
    foreach ([false, true] as $powder) {
        foreach ([false, true] as $wet) {
            foreach ([false, true] as $heated) {
                foreach (['drained', 'squeezed', 'pressed'] as $way) {
                    $steps = straining([
                        'powder' => $powder,
                        'wet' => $wet,
                        'heated' => $heated,
                        'hardFat' => $heated,
                        'staining' => true,
                    ])->steps($way);
                    expect(count(array_unique(array_column($steps, 'id'))))->toBe(count($steps));
                    foreach ($steps as $step) {
                        expect($step['says'])->toMatch('/[.]$/')->and($step['why'])->toMatch('/^[A-Z].*[.]$/');
                    }
                }
            }
        }
    }
});

it('drains wet herb whatever was planned, and otherwise keeps to the plan', function () {
    expect(straining(['wet' => true])->way('pressed'))
        ->toBe('drained')
        ->and(straining()->way('pressed'))
        ->toBe('pressed')
        ->and(straining(['powder' => true])->filter('squeezed'))
        ->toBe('paper')
        ->and(straining()->filter('pressed'))
        ->toBe('press')
        ->and(straining()->filter('squeezed'))
        ->toBe('cloth');
});

it('asks for the signs of its method', function () {
    $signs = fn (array $of) => array_column(straining($of)->signs(), 'says', 'id');
    expect(array_keys($signs([])))
        ->toBe(['time', 'colour', 'scent', 'faded'])
        ->and($signs(['heated' => true])['time'])
        ->toContain('hours at warmth')
        ->and($signs([])['time'])
        ->toContain('weeks')
        ->and($signs(['wet' => true]))
        ->toHaveKey('bubbles');
});
