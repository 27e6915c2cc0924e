<?php

use App\Models\Batch;
use App\Models\Tenancy\CurrentHouse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;

function exported($test): array
{
    return json_decode($test->atHouse('GET', '/export')->assertOk()->getContent(), true);
}

function aBusyHouse($test): void
{
    $root = $test
        ->atHouse('POST', '/lots', [
            'lot' => [
                'kind' => 'herb',
                'material' => 'marshmallow-root',
                'amount' => '500 g',
                'price' => '30',
                'got_on' => '2026-10-03',
                'got_how' => 'gathered',
                'part' => 'root',
                'note' => 'lifted “wet”',
            ],
        ])
        ->assertOk()
        ->json('lot.id');
    $test
        ->atHouse('POST', "/lots/{$root}/checks", [
            'answers' => ['scent' => 'faint', 'colour' => 'paler', 'snap' => 'snaps', 'dust' => 'some'],
        ])
        ->assertOk();
    $gone = $test
        ->atHouse('POST', '/lots', [
            'lot' => [
                'kind' => 'carrier',
                'material' => 'sesame',
                'amount' => '250 mL',
                'best_before' => '2027-01-01',
                'allergens' => 'soya',
            ],
        ])
        ->assertOk()
        ->json('lot.id');
    $test->atHouse('POST', "/lots/{$gone}/count", ['amount' => '0', 'note' => 'spilt'])->assertOk();
    $test->atHouse('DELETE', "/lots/{$gone}")->assertNoContent();
    $recipe = $test
        ->atHouse('POST', '/recipes', [
            'name' => 'Harbour hands',
            'note' => 'first',
            'wish' => ['herbs' => [['id' => 'calendula']], 'oils' => ['olive']],
        ])
        ->assertOk()
        ->json();
    $test
        ->atHouse('PATCH', "/recipes/{$recipe['id']}", [
            'name' => 'Harbour hands',
            'note' => 'second',
            'wish' => $recipe['wish'],
            'version' => 1,
        ])
        ->assertOk();
    $batch = $test->batch(['jar' => $test->jarOf(505)->uid]);
    $test->fill($batch);
    $test->atHouse('POST', "/batches/{$batch->uid}/notes", ['note' => 'Smells of “honey” — naïve 蜂蜜']);
    $test->atHouse('POST', "/batches/{$batch->uid}/tasks", ['task' => 'strain', 'outcome' => 'later', 'until' => '2026-12-26']);
    $second = $test->batch(['method' => 'slow-cooker', 'oils' => [['id' => 'olive', 'parts' => '2'], ['id' => 'sesame', 'parts' => '1']]]);
    $test->fill($second);
    $test->atHouse('DELETE', '/jars/'.$test->jarOf(790)->uid);
    $test->atHouse('POST', '/jars', ['called' => 'crock', 'brim' => '2 L', 'height' => '20 cm']);
    Carbon::setTestNow(Carbon::now()->addHours(2));
    $test->atHouse('POST', "/batches/{$second->uid}/strain", ['amount' => '150 mL', 'warmth' => 'not'])->assertOk();
    $size = $test->atHouse('GET', '')->json('bottles.1.id');
    $small = $test
        ->atHouse('POST', '/lots', ['lot' => ['kind' => 'bottle', 'material' => $size, 'called' => 'small bottle', 'amount' => '10']])
        ->assertOk()
        ->json('lot.id');
    $path = "/batches/{$second->uid}";
    $test->atHouse('POST', "{$path}/decant", ['amount' => '145 mL', 'again' => true])->assertOk();
    $test
        ->atHouse('POST', "{$path}/bottle", [
            'bottles' => [['size' => $size, 'count' => 3]],
            'place' => 'room',
            'glass' => 'clear',
            'antioxidant' => 'vitamin-e',
            'where' => 'the sill',
        ])
        ->assertOk();
    expect($test->atHouse('GET', "/lots/{$small}")->json('lot.left'))->toEqual(7);
    $test->atHouse('POST', "{$path}/use", ['bottle' => 2, 'how' => 'given', 'to' => 'Torin'])->assertOk();
    $test->atHouse('POST', "{$path}/keep", ['place' => 'cool-dark'])->assertOk();
    $test->atHouse('POST', "{$path}/purpose", ['purpose' => 'hair'])->assertOk();
    $test->atHouse('POST', "{$path}/check", ['answers' => ['smell' => 'faint', 'look' => 'clear', 'lid' => 'quiet']])->assertOk();
    $test->atHouse('POST', "{$path}/faults/note", ['signs' => ['weak']])->assertOk();
    $test->atHouse('POST', "{$path}/acknowledge", ['caution' => 'skin-only'])->assertOk();
    $version = $test->atHouse('GET', "{$path}/label")->json('version');
    $test
        ->atHouse('PUT', "{$path}/label", [
            'version' => $version,
            'size' => 'roll-60x40',
            'start' => 1,
            'names' => 'inci',
            'fields' => ['title', 'herb', 'words'],
            'words' => 'Made at home',
        ])
        ->assertOk();
    $test->atHouse('PUT', '/almanac/plant/calendula/note', ['note' => 'Pick at noon.', 'version' => 0])->assertOk();
    $cold = [
        'herb' => ['id' => 'basil', 'state' => 'fresh', 'amount' => '40 g'],
        'oils' => ['sunflower'],
        'purpose' => 'kitchen',
        'kept' => 'fridge',
        'method' => 'gentle-pan',
    ];
    $test->fill($test->batch($cold, ['four-days']));
    $test->atHouse('POST', '/recipes', ['name' => 'Basil for the week', 'note' => '', 'wish' => $cold])->assertOk();
    $oil = $test
        ->atHouse('POST', '/lots', [
            'lot' => [
                'kind' => 'carrier',
                'material' => 'olive',
                'amount' => '2 L',
                'opened_on' => '2026-09-01',
                'best_before' => '2027-02-02',
            ],
        ])
        ->assertOk()
        ->json('lot.id');
    $third = $test->batch(['oils' => ['olive'], 'jar' => $test->jarOf(505)->uid]);
    $test->fill($third);
    expect($test->atHouse('GET', "/batches/{$third->uid}")->json('best_before'))->toBe('2 Feb 2027');
}

it('exports a house that keeps to its schema, and reads back equal', function () {
    aBusyHouse($this);
    $text = $this->atHouse('GET', '/export')->getContent();
    $schema = json_decode((string) file_get_contents(base_path('docs/formats/house.schema.json')));
    expect((new Validator())->validate(json_decode($text), $schema)->isValid())->toBeTrue();
    $first = json_decode($text, true);
    $pages = [];
    foreach ($first['batches'] as $batch) {
        $pages[$batch['id']] = $this->atHouse('GET', "/batches/{$batch['id']}")->json();
    }

    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $first)->assertOk()->assertJsonPath('batches', 4);
    $second = exported($this);
    expect($second['batches'])
        ->toEqual($first['batches'])
        ->and($second['lots'])
        ->toEqual($first['lots'])
        ->and($second['recipes'])
        ->toEqual($first['recipes']);
    $lot = $first['lots'][0]['id'];
    expect($this->atHouse('GET', "/lots/{$lot}")->json('lot.left_text'))->not->toBe('500 g');
    foreach ($pages as $id => $page) {
        $now = $this->atHouse('GET', "/batches/{$id}")
            ->assertOk()
            ->json();
        $parts = [
            'stage',
            'stage_text',
            'tasks',
            'bottles',
            'best_before',
            'entries',
            'press',
            'label',
            'purpose',
            'kept',
            'cautions',
            'lots',
        ];
        foreach ($parts as $part) {
            expect($now[$part])->toEqual($page[$part], $part);
        }
    }
    expect(collect($second['jars'])->firstWhere('called', 'crock'))
        ->not->toBeNull()
        ->and($second['almanac'])
        ->toEqual($first['almanac'])
        ->and($this->atHouse('GET', '/yields')->json('lines'))
        ->not->toBe([]);
});

it('makes nothing twice from the same file', function () {
    aBusyHouse($this);
    $file = exported($this);
    $count = fn () => [
        DB::table('batches')->count(),
        DB::table('log_entries')->count(),
        DB::table('jars')->count(),
        DB::table('bottles')->count(),
        DB::table('lots')->count(),
        DB::table('lot_moves')->count(),
        DB::table('lot_checks')->count(),
        DB::table('recipe_versions')->count(),
    ];
    $before = $count();
    $this->atHouse('POST', '/import', $file)->assertOk()->assertJsonPath('batches', 0)->assertJsonPath('entries', 0);
    expect($count())->toBe($before);
});

it('takes in nothing of a press that cannot be', function () {
    aBusyHouse($this);
    $whole = exported($this);
    $at = collect($whole['batches'])->search(fn ($batch) => collect($batch['log'])->contains('kind', 'bottled'));
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $breaks = [
        ['used', 'bottle', 0],
        ['used', 'ml', 'all of it'],
        ['checked', 'verdict', 'lovely'],
        ['kept', 'place', 'attic'],
        ['purpose', 'to', 'petrol'],
        ['bottled', 'taken', [['lot' => 'moon', 'count' => 1]]],
        ['decanted', 'ml', null],
        ['acknowledged', 'cautions', 'all'],
        ['fault', 'signs', 'cloudy'],
    ];
    foreach ($breaks as [$kind, $key, $value]) {
        $file = $whole;
        $line = collect($file['batches'][$at]['log'])->search(fn ($line) => $line['kind'] === $kind);
        $file['batches'][$at]['log'][$line]['data'][$key] = $value;
        $this->atHouse('POST', '/import', $file)->assertStatus(422);
    }
    $label = $whole;
    $label['batches'][$at]['label']['size'] = 'papyrus';
    $this->atHouse('POST', '/import', $label)->assertStatus(422);
    $note = $whole;
    $note['almanac'][0]['kind'] = 'stone';
    $this->atHouse('POST', '/import', $note)->assertStatus(422);
    $this->atHouse('GET', '/shelf')->assertJsonPath('empty', true);
});

it('adds the lines of a logbook that are not here yet', function () {
    $batch = $this->batch();
    $early = exported($this);
    $this->fill($batch);
    $late = exported($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $early)->assertOk();
    $this->atHouse('POST', '/import', $late)->assertOk()->assertJsonPath('batches', 0)->assertJsonPath('entries', 1);
    $this->atHouse('GET', "/batches/{$batch->uid}")->assertJsonPath('stage', 'steeping');
});

it('goes on counting after what was taken in', function () {
    $this->batch();
    $this->batch();
    $file = exported($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $this->atHouse('POST', '/import', $file)->assertOk();
    expect($this->batch()->code)->toBe('26-003');
});

it('changes nothing by a half-broken file', function (Closure $break) {
    $this->batch();
    $this->batch();
    $file = exported($this);
    $this->house = $this->aHouse($this->keeper, 'Second house');
    $broken = $break($file);
    $answer = is_string($broken)
        ? $this->actingAs($this->keeper)->call(
            'POST',
            "/api/houses/{$this->house->uid}/import",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_IDEMPOTENCY_KEY' => 'broken-import', 'HTTP_ACCEPT' => 'application/json'],
            $broken,
        )
        : $this->atHouse('POST', '/import', $broken);
    expect($answer->status())
        ->toBeIn([400, 422])
        ->and($answer->json('detail'))
        ->toMatch('/\.$/');
    app(CurrentHouse::class)->within($this->house, fn () => expect(Batch::query()->count())->toBe(0));
})->with([
    'cut short' => [fn (array $f) => substr((string) json_encode($f), 0, -200)],
    'another thing' => [fn (array $f) => ['hello' => 'world']],
    'a wrong version' => [fn (array $f) => ['version' => 9] + $f],
    'the second batch broken' => [
        function (array $f) {
            unset($f['batches'][1]['plan']['jar']);

            return $f;
        },
    ],
    'an unknown method' => [
        function (array $f) {
            $f['batches'][1]['plan']['method']['id'] = 'microwave';

            return $f;
        },
    ],
    'an unknown oil' => [
        function (array $f) {
            $f['batches'][1]['plan']['oils'][0]['id'] = 'petrol';

            return $f;
        },
    ],
    'two batches of one code' => [
        function (array $f) {
            $f['batches'][1]['code'] = $f['batches'][0]['code'];

            return $f;
        },
    ],
    'a bad moment' => [
        function (array $f) {
            $f['batches'][1]['log'][0]['happened_at'] = 'yesterday';

            return $f;
        },
    ],
    'a moment that is no moment' => [
        function (array $f) {
            $f['batches'][1]['log'][0]['happened_at'] = '2026-99-99T99:99:99Z';

            return $f;
        },
    ],
    'a strained entry of nothing' => [
        function (array $f) {
            $f['batches'][1]['log'][] =
                ['id' => str_repeat('0', 26), 'data' => ['ml' => 'x'], 'kind' => 'strained'] + $f['batches'][1]['log'][0];

            return $f;
        },
    ],
    'one id for two lines' => [
        function (array $f) {
            $f['batches'][1]['log'][0]['id'] = $f['batches'][0]['log'][0]['id'];

            return $f;
        },
    ],
]);

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
    aBusyHouse($this);
    $file = exported($this);
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

it('takes cookers, warm sessions with their line, days away, weather and pictures out and in, once', function () {
    $batch = $this->batch(['method' => 'slow-cooker', 'school' => 'usual', 'jar' => $this->jarOf(505)->uid]);
    $this->fill($batch);
    $this->atHouse('POST', '/cookers', [
        'called' => 'the oval one',
        'shape' => 'oval',
        'length' => '300 mm',
        'width' => '210 mm',
        'height' => '140 mm',
        'method' => 'slow-cooker',
    ])->assertOk();
    $cooker = collect($this->atHouse('GET', '/stove')->json('cookers'))->firstWhere('called', 'the oval one')['id'];
    $pot = $this->atHouse('POST', '/stove', [
        'cooker' => $cooker,
        'setting' => 'Warm',
        'batches' => [$batch->uid],
        'watch' => 'hand',
    ])->json('id');
    foreach ([46, 49, 62] as $warmth) {
        Carbon::setTestNow(Carbon::now()->addMinutes(40));
        $this->atHouse('POST', "/stove/{$pot}/reading", ['warmth' => (string) $warmth])->assertOk();
    }
    $this->atHouse('POST', "/stove/{$pot}/tend", ['what' => 'end'])->assertOk();
    $this->atHouse('POST', '/absences', ['from' => '2026-12-24', 'to' => '2026-12-26'])->assertOk();
    $this->atHouse('POST', '/weather', ['csv' => base64_encode("day,cloud\n2026-11-20,0.4\n"), 'do' => true])->assertOk();
    $image = imagecreatetruecolor(60, 60);
    ob_start();
    imagejpeg($image);
    $this->atHouse('POST', "/batches/{$batch->uid}/looks", [
        'what' => 'colour',
        'photo' => base64_encode((string) ob_get_clean()),
        'oil' => [0.5, 0.5],
    ])->assertOk();
    $before = $this->atHouse('GET', "/batches/{$batch->uid}/warmth")->json();
    $file = $this->atHouse('GET', '/export')->assertOk()->json();
    $own = $this->aHouse($this->keeper, 'Another');
    $first = $this->call_('POST', "/houses/{$own->uid}/import", $file);
    expect($first->json('detail'))->toBeNull()->and($first->json('says'))->toContain('5 things of the stove');
    $after = $this->call_('GET', "/houses/{$own->uid}/batches/{$batch->uid}/warmth")
        ->assertOk()
        ->json();
    expect($after['had_text'])
        ->toBe($before['had_text'])
        ->and($after['sessions'][0]['over_text'])
        ->toBe($before['sessions'][0]['over_text'])
        ->and($after['sessions'][0]['chart']['points'])
        ->toBe($before['sessions'][0]['chart']['points']);
    expect($this->call_('POST', "/houses/{$own->uid}/import", $file)->json('says'))->toContain('here already');
    // What went out goes out the same from there.
    $again = $this->call_('GET', "/houses/{$own->uid}/export")->json();
    foreach (['weather', 'photos', 'absences'] as $part) {
        expect($again[$part])->toBe($file[$part]);
    }
});
