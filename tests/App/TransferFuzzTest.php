<?php

use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use Tests\BusyHouse;

/** Every path to a value in a document, as lists of keys. */
function paths(mixed $value, array $at = []): array
{
    $found = [];
    foreach (is_array($value) ? $value : [] as $key => $inner) {
        $found[] = [...$at, $key];
        $found = [...$found, ...paths($inner, [...$at, $key])];
    }

    return $found;
}

it('takes in or refuses, whatever was done to the file, and every page still opens', function (int $seed) {
    BusyHouse::in($this);
    $file = BusyHouse::exported($this);
    $places = paths($file);
    mt_srand($seed);
    $odd = [
        null,
        '',
        'x',
        -1,
        0,
        1e9,
        1e300,
        0.5,
        true,
        [],
        [[]],
        ['a' => 1],
        '2026-12-12',
        '9999-12-31T23:59:59Z',
        '0000-00-00T00:00:00Z',
        '2026-02-30T10:00:00Z',
        str_repeat('y', 300),
        "\u{202E}",
        '01arz3ndektsv4rrffq69g5fav',
        'cold',
        'olive',
        'strained',
        'bottled',
        'undone',
        'fill',
        'later',
    ];
    $taken = 0;
    for ($i = 0; $i < 24; $i++) {
        $changed = $file;
        $place = $places[mt_rand(0, count($places) - 1)];
        $spot = &$changed;
        foreach ($place as $key) {
            $spot = &$spot[$key];
        }
        $spot = $odd[mt_rand(0, count($odd) - 1)];
        unset($spot);
        $this->house = $this->aHouse($this->keeper, "House {$i}");
        $answer = $this->atHouse('POST', '/import', $changed);
        expect($answer->status())->toBeIn([200, 400, 409, 422], implode('.', $place));
        if ($answer->status() !== 200) {
            continue;
        }
        $taken++;
        foreach (['/today', '/shelf', '/press', '/export'] as $page) {
            expect($this->atHouse('GET', $page)->status())->toBe(200, implode('.', $place)." {$page}");
        }
        foreach (app(CurrentHouse::class)->within($this->house, fn () => Batch::query()->pluck('uid')->all()) as $uid) {
            expect($this->atHouse('GET', "/batches/{$uid}")->status())
                ->toBe(200, implode('.', $place))
                ->and($this->atHouse('GET', "/batches/{$uid}/tag.pdf")->status())
                ->toBe(200, implode('.', $place));
        }
    }
    expect($taken)->toBeGreaterThan(2);
})->with([[1], [2], [3]]);
